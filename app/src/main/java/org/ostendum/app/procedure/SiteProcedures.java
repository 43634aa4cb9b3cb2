package org.ostendum.app.procedure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.ostendum.app.procedure.ProcedureFile.MeasureText;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Procedure;
import org.springframework.stereotype.Component;

/** Procedures as this site runs them: what ships, with the site's own steps, cautions, gates and references worked in. */
@Component
public class SiteProcedures {
    private final ProcedureShelf shelf;
    private final ProcedureAdditions additions;

    SiteProcedures(ProcedureShelf shelf, ProcedureAdditions additions) {
        this.shelf = shelf;
        this.additions = additions;
    }

    public List<Procedure> all() {
        Map<String, List<ProcedureAddition>> added = additions.inForce();
        return shelf.all().stream()
                .map(p -> added.containsKey(p.id()) ? find(p.id()).orElse(p) : p)
                .toList();
    }

    /** What each is called in the reader's language, by its id. */
    public Map<String, String> titles(Words words) {
        return all().stream().collect(Collectors.toMap(Procedure::id, p -> words.phrase(p.title())));
    }

    public Optional<Procedure> find(String id) {
        return file(id).map(file -> file.procedure(id));
    }

    /** The form a job keeps, so that its ledger entry tells by which text it was run. */
    public Optional<ProcedureFile> file(String id) {
        return shelf.file(id).map(file -> with(file, additions.inForce(id)));
    }

    private static ProcedureFile with(ProcedureFile file, List<ProcedureAddition> added) {
        if (added.isEmpty()) {
            return file;
        }
        List<StepText> steps = new ArrayList<>(file.steps());
        List<String> references = new ArrayList<>();
        List<GateKey> gates = new ArrayList<>(file.gates() == null ? List.of() : file.gates());
        for (ProcedureAddition addition : added) {
            switch (addition.kind()) {
                case REFERENCE -> references.add(addition.text());
                case CAUTION -> caution(steps, addition);
                case STEP -> insert(steps, addition, StepText.plain(id(addition), addition.text()));
                case HOLD -> insert(steps, addition, StepText.held(id(addition), addition.text(), addition.text()));
                case MEASURE -> insert(steps, addition, measured(addition));
                case GATE -> gate(gates, addition);
            }
        }
        references.addAll(file.references());
        return file.with(gates, references, steps);
    }

    private static String id(ProcedureAddition addition) {
        return "site-" + addition.id();
    }

    private static StepText measured(ProcedureAddition addition) {
        ProcedureAddition.Range range = Objects.requireNonNull(addition.range());
        return StepText.measured(
                id(addition),
                addition.text(),
                new MeasureText(range.unit(), range.least(), range.most(), null, null, null));
    }

    private static void gate(List<GateKey> gates, ProcedureAddition addition) {
        GateKey gate = addition.gate();
        if (gate != null && !gates.contains(gate)) {
            gates.add(gate);
        }
    }

    /** A step of the site's own stands after the one it names, or first. */
    private static void insert(List<StepText> steps, ProcedureAddition addition, StepText own) {
        steps.add(after(steps, addition), own);
    }

    private static int after(List<StepText> steps, ProcedureAddition addition) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).id().equals(addition.afterStep())) {
                return i + 1;
            }
        }
        return 0;
    }

    private static void caution(List<StepText> steps, ProcedureAddition addition) {
        int at = Math.max(0, after(steps, addition) - 1);
        StepText step = steps.get(at);
        steps.set(at, step.because(step.why() == null ? addition.text() : step.why() + " " + addition.text()));
    }
}
