package org.ostendum.web.procedures;

import java.util.Map;
import java.util.Optional;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.web.page.Faults;
import org.ostendum.web.page.NotFound;
import org.ostendum.web.page.TypedForm;
import org.ostendum.web.store.Person;
import org.ostendum.web.store.ProcedureAddition;
import org.ostendum.web.store.ProcedureAdditions;
import org.ostendum.web.words.Words;
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

    @GetMapping("/procedures/{id}")
    String one(@PathVariable String id, Words words, Model page) {
        return show(find(id), TypedForm.of(words), page);
    }

    private String show(Procedure procedure, TypedForm form, Model page) {
        page.addAttribute("place", "jobs");
        page.addAttribute("procedure", procedure);
        page.addAttribute("additions", additions.ever(procedure.id()));
        page.addAttribute("kinds", ProcedureAddition.Kind.values());
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "procedures/procedure";
    }

    @PostMapping("/procedures/{id}/additions")
    Object add(
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Procedure procedure = find(id);
        TypedForm form = new TypedForm(typed, words);
        Optional<ProcedureAddition.Kind> kind = form.choice("kind", ProcedureAddition.Kind.class);
        String text = form.text("text", LONGEST);
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
        additions.add(id, kind.get(), after.isEmpty() ? null : after, text, reason, person.id());
        flash.addFlashAttribute("told", words.text("procedure.added"));
        return "redirect:/procedures/" + id;
    }

    @PostMapping("/procedures/{id}/additions/{addition}")
    String end(
            @PathVariable String id,
            @PathVariable long addition,
            Person person,
            Words words,
            RedirectAttributes flash) {
        find(id);
        additions.end(addition, person.id());
        flash.addFlashAttribute("told", words.text("procedure.ended"));
        return "redirect:/procedures/" + id;
    }

    private Procedure find(String id) {
        return procedures.find(id).orElseThrow(() -> new NotFound("procedure " + id));
    }
}
