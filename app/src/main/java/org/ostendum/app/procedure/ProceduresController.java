package org.ostendum.app.procedure;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.people.Person;
import org.ostendum.app.procedure.ProcedureAddition.Kind;
import org.ostendum.app.procedure.ProcedureAdditions.NewAddition;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Procedure;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The procedures to read, and for a lead to add what the site wants in them. */
@Controller
class ProceduresController {
    private static final int LONGEST = 400;
    /** No meter in a battery room shows more. */
    private static final double LARGEST = 100_000;

    private final SiteProcedures procedures;
    private final ProcedureAdditions additions;

    ProceduresController(SiteProcedures procedures, ProcedureAdditions additions) {
        this.procedures = procedures;
        this.additions = additions;
    }

    @GetMapping("/procedures")
    String list(Model page) {
        page.addAttribute("place", "jobs");
        page.addAttribute("procedures", procedures.all());
        return "procedures/list";
    }

    @GetMapping("/procedures/{procedure}")
    String one(Procedure procedure, Words words, Model page) {
        return show(procedure, TypedForm.of(words), page);
    }

    private String show(Procedure procedure, TypedForm form, Model page) {
        page.addAttribute("place", "jobs");
        page.addAttribute("procedure", procedure);
        page.addAttribute("additions", additions.ever(procedure.id()));
        page.addAttribute("kinds", Kind.values());
        page.addAttribute("gates", addable(procedure));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "procedures/procedure";
    }

    @PostMapping("/procedures/{procedure}/additions")
    Object add(
            Procedure procedure,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Optional<Kind> kind = form.choice("kind", Kind.class);
        Optional<GateKey> gate = kind.filter(k -> k == Kind.GATE).flatMap(k -> gate(form, procedure));
        ProcedureAddition.@Nullable Range range =
                kind.filter(k -> k == Kind.MEASURE).map(k -> range(form)).orElse(null);
        String text = gate.isPresent() ? words.name(gate.get()) : form.text("text", LONGEST);
        String reason = form.text("reason", LONGEST);
        if (text.length() < 3 || reason.length() < 3) {
            form.fault(text.length() < 3 ? "text" : "reason", "rules.fault.reason");
        }
        String after = form.get("after");
        if (!after.isEmpty() && procedure.step(after).isEmpty()) {
            form.fault("after", "fault.choose");
        }
        if (!form.isSound() || kind.isEmpty()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(procedure, form, page), page);
        }
        @Nullable String afterStep = after.isEmpty() ? null : after;
        additions.add(
                new NewAddition(procedure.id(), kind.get(), afterStep, text, range, gate.orElse(null), reason),
                person.id());
        flash.addFlashAttribute("told", words.text("procedure.added"));
        return "redirect:/procedures/" + procedure.id();
    }

    /** Gates the procedure does not ask yet and that its subject can answer. */
    private static List<GateKey> addable(Procedure procedure) {
        return Arrays.stream(GateKey.values())
                .filter(gate -> gate != GateKey.TRAINED && !procedure.gates().contains(gate))
                .filter(gate -> procedure.subject() == Procedure.Subject.BATTERY || gate.isOfRoom())
                .toList();
    }

    private static Optional<GateKey> gate(TypedForm form, Procedure procedure) {
        Optional<GateKey> gate = form.choice("gate", GateKey.class).filter(addable(procedure)::contains);
        if (gate.isEmpty()) {
            form.fault("gate", "fault.choose");
        }
        return gate;
    }

    private static ProcedureAddition.Range range(TypedForm form) {
        double least = form.number("least", -LARGEST, LARGEST);
        double most = form.number("most", -LARGEST, LARGEST);
        if (form.isSound() && least >= most) {
            form.fault("most", "procedure.fault.range", form.get("most"), form.get("least"));
        }
        return new ProcedureAddition.Range(form.text("unit", 12), least, most);
    }

    @PostMapping("/procedures/{procedure}/additions/{addition}")
    String end(Procedure procedure, @PathVariable long addition, Person person, Words words, RedirectAttributes flash) {
        additions.end(addition, person.id());
        flash.addFlashAttribute("told", words.text("procedure.ended"));
        return "redirect:/procedures/" + procedure.id();
    }
}
