package org.ostendum.app.complaint;

import java.util.Map;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.words.Words;
import org.ostendum.core.complaint.Cause;
import org.ostendum.core.complaint.Complaint;
import org.ostendum.core.complaint.WorkUpTable;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How often a site has found each cause behind a complaint, with its reason. */
@Controller
class CauseWeightsController {
    private static final int MOST_REASON = 300;
    private static final int MOST_PERCENT = 95;

    private final OwnWeights weights;

    CauseWeightsController(OwnWeights weights) {
        this.weights = weights;
    }

    @GetMapping("/complaints/causes")
    String causes(@RequestParam(defaultValue = "SLOW") Complaint of, Words words, Model page) {
        return show(of, TypedForm.of(words), page);
    }

    private String show(Complaint of, TypedForm form, Model page) {
        page.addAttribute("place", "jobs");
        WorkUpTable shipped = WorkUpTable.standard();
        page.addAttribute(
                "view",
                new CausesView(
                        of, weights.table().priors(of), shipped.priors(of), shipped.version(), weights.reasons(of)));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "complaint/causes";
    }

    @PostMapping("/complaints/causes")
    Object count(
            @RequestParam Complaint of,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Cause cause = form.choice("cause", Cause.class).orElse(null);
        double percent = form.number("percent", 0, MOST_PERCENT);
        String reason = form.get("reason");
        if (reason.isEmpty() || reason.length() > MOST_REASON) {
            form.fault("reason", "complaint.causes.reason-wanted");
        }
        if (cause == null || !form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(of, form, page), page);
        }
        weights.count(of, cause, percent / 100, reason, person.id(), words.now());
        flash.addFlashAttribute("told", words.text("complaint.causes.kept"));
        return "redirect:/complaints/causes?of=" + of;
    }
}
