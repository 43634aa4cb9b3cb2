package org.ostendum.core.judge.question;

import java.util.ArrayList;
import java.util.List;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.Question;
import org.ostendum.core.measure.Level;
import org.ostendum.core.rulebook.Severity;

/** Do cells want water? Plates that show must be covered before any charge; a low level waits for the end of one. */
public final class DryCells implements Question {
    @Override
    public String name() {
        return "dry-cells";
    }

    @Override
    public Outcome ask(Case battery) {
        if (!battery.model().kind().hasCaps()) {
            return new Outcome.NotJudged(Missing.CAPS);
        }
        if (CellsWith.none(battery, r -> r.level() != null || r.tooLow())) {
            return new Outcome.NotJudged(Missing.LEVELS);
        }
        List<Finding> findings = new ArrayList<>();
        Cells exposed = CellsWith.where(battery, r -> r.level() == Level.EXPOSED);
        Cells tooLow = CellsWith.where(battery, r -> r.level() != Level.EXPOSED && r.tooLow());
        Cells low = CellsWith.where(battery, r -> r.level() == Level.LOW && !r.tooLow());
        if (!exposed.isEmpty()) {
            findings.add(finding("exposed", exposed, Severity.STOP, NextStep.COVER_PLATES, 0.95));
        }
        if (!tooLow.isEmpty()) {
            findings.add(finding("too-low", tooLow, Severity.ACT, NextStep.WATER, 0.9));
        }
        if (!low.isEmpty()) {
            findings.add(finding("low", low, Severity.WATCH, NextStep.WATER, 0.9));
        }
        return Outcome.of(findings);
    }

    private static Finding finding(String how, Cells cells, Severity severity, NextStep next, double confidence) {
        return new Finding(
                FindingCode.CELL_DRY,
                cells,
                severity,
                Message.of("finding.dry." + how, cells),
                Message.of("finding.dry." + how + ".why"),
                List.of(),
                new Evidence.SeenLevel(how),
                next,
                null,
                confidence);
    }
}
