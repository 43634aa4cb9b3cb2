package org.ostendum.app.procedure;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.procedure.ProcedureAddition.Kind;
import org.ostendum.app.procedure.ProcedureAdditions.NewAddition;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Procedure;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The procedures to read, and for a lead to add what the site wants in them. */
@Controller
class ProceduresController {
    private final SiteProcedures procedures;
    private final ProcedureAdditions additions;

    ProceduresController(SiteProcedures procedures, ProcedureAdditions additions) {
        this.procedures = procedures;
        this.additions = additions;
    }

    @GetMapping("/procedures")
    String list(Words words, Model page) {
        page.addAttribute("place", "jobs");
        page.addAttribute(
                "procedures",
                procedures.all().stream().map(p -> p.said(words::phrase)).toList());
        return "procedures/list";
    }

    @GetMapping("/procedures/{procedure}")
    String one(Procedure procedure, Words words, Model page) {
        return show(procedure, FormView.of(AdditionForm.BLANK), words, page);
    }

    private String show(Procedure procedure, FormView form, Words words, Model page) {
        page.addAttribute("place", "jobs");
        page.addAttribute(
                "view",
                new ProcedureView(
                        procedure.said(words::phrase),
                        additions.ever(procedure.id()),
                        List.of(Kind.values()),
                        addable(procedure)));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "procedures/procedure";
    }

    @PostMapping("/procedures/{procedure}/additions")
    Object add(
            Procedure procedure,
            @Validated @ModelAttribute("form") AdditionForm form,
            BindingResult errors,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        check(procedure, form, errors);
        if (errors.hasErrors()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(procedure, FormView.of(errors, words), words, page), page);
        }
        Kind kind = Objects.requireNonNull(form.kind());
        @Nullable GateKey gate = kind == Kind.GATE ? form.gate() : null;
        String text = gate == null ? Objects.requireNonNull(form.text()) : words.name(gate);
        @Nullable String after = form.after() == null || form.after().isEmpty() ? null : form.after();
        String reason = Objects.requireNonNull(form.reason());
        additions.add(new NewAddition(procedure.id(), kind, after, text, form.range(), gate, reason), person.id());
        flash.addFlashAttribute("told", words.text("procedure.added"));
        return "redirect:/procedures/" + procedure.id();
    }

    private static void check(Procedure procedure, @Nullable AdditionForm form, BindingResult errors) {
        if (form == null) {
            return;
        }
        boolean isGate = form.kind() == Kind.GATE;
        if (isGate && (form.gate() == null || !addable(procedure).contains(form.gate()))) {
            Faults.tell(errors, "gate", "fault.choose");
        }
        if (!isGate && AdditionForm.isTooShort(form.text())) {
            Faults.tell(errors, "text", "fault.blank");
        }
        if (AdditionForm.isTooShort(form.reason())) {
            Faults.tell(errors, "reason", "rules.fault.reason");
        }
        if (form.after() != null
                && !form.after().isEmpty()
                && procedure.step(form.after()).isEmpty()) {
            Faults.tell(errors, "after", "fault.choose");
        }
        if (form.kind() == Kind.MEASURE) {
            checkRange(form, errors);
        }
    }

    private static void checkRange(AdditionForm form, BindingResult errors) {
        if (form.least() == null) {
            Faults.tell(errors, "least", "fault.blank");
        }
        if (form.most() == null) {
            Faults.tell(errors, "most", "fault.blank");
        }
        if (form.unit() == null || form.unit().isEmpty()) {
            Faults.tell(errors, "unit", "fault.blank");
        }
        if (form.least() != null && form.most() != null && form.least() >= form.most()) {
            Faults.tell(errors, "most", "procedure.fault.range", form.most(), form.least());
        }
    }

    /** Gates the procedure does not ask yet and that its subject can answer. */
    private static List<GateKey> addable(Procedure procedure) {
        return Arrays.stream(GateKey.values())
                .filter(gate -> gate != GateKey.TRAINED && !procedure.gates().contains(gate))
                .filter(gate -> procedure.subject() == Procedure.Subject.BATTERY || gate.isOfRoom())
                .toList();
    }

    @PostMapping("/procedures/{procedure}/additions/{addition}")
    String end(Procedure procedure, @PathVariable long addition, Person person, Words words, RedirectAttributes flash) {
        additions.end(addition, person.id());
        flash.addFlashAttribute("told", words.text("procedure.ended"));
        return "redirect:/procedures/" + procedure.id();
    }
}
