package org.ostendum.app.complaint;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.words.Words;
import org.ostendum.core.complaint.Cause;
import org.ostendum.core.complaint.Look;
import org.ostendum.core.complaint.Look.Outcome;
import org.ostendum.core.complaint.WorkUpTable;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What a look shows with each cause, as a site has found it, with its reason. */
@Controller
class LookWeightsController {
    private static final int MOST_REASON = 300;
    /** How far the percents may be from a hundred together: people round. */
    private static final double MOST_OFF = 1.5;

    private final OwnWeights weights;

    LookWeightsController(OwnWeights weights) {
        this.weights = weights;
    }

    @GetMapping("/complaints/looks")
    String looks(@RequestParam(defaultValue = "TOP") Look of, Words words, Model page) {
        return show(of, TypedForm.of(words), page);
    }

    private String show(Look of, TypedForm form, Model page) {
        page.addAttribute("place", "jobs");
        page.addAttribute(
                "view",
                new LooksView(
                        of,
                        List.of(Look.values()),
                        List.of(Cause.values()),
                        weights.table(),
                        WorkUpTable.standard(),
                        weights.reasons(of)));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "complaint/looks";
    }

    @PostMapping("/complaints/looks")
    Object count(
            @RequestParam Look of,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Optional<Cause> cause = form.choice("cause", Cause.class);
        Map<Outcome, Double> parts = parts(of.outcomes(), form);
        String reason = form.get("reason");
        if (reason.isEmpty() || reason.length() > MOST_REASON) {
            form.fault("reason", "complaint.causes.reason-wanted");
        }
        if (cause.isEmpty() || !form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(of, form, page), page);
        }
        weights.show(of, cause.get(), parts, reason, person.id(), words.now());
        flash.addFlashAttribute("told", words.text("complaint.causes.kept"));
        return "redirect:/complaints/looks?of=" + of;
    }

    private static Map<Outcome, Double> parts(List<Outcome> outcomes, TypedForm form) {
        Map<Outcome, Double> parts = new EnumMap<>(Outcome.class);
        outcomes.forEach(outcome -> parts.put(outcome, form.number(outcome.name(), 0, 100)));
        double sum = parts.values().stream().mapToDouble(Double::doubleValue).sum();
        if (form.isSound() && Math.abs(sum - 100) > MOST_OFF) {
            form.fault("sum", "complaint.looks.sum", sum);
        }
        parts.replaceAll((outcome, percent) -> percent / sum);
        return parts;
    }
}
