package org.ostendum.app.plan.weights;

import java.time.Instant;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.PlainNumber;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.plan.PlannedJobs;
import org.ostendum.app.plan.PlannedJobs.InForce;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.Plan.TermCost;
import org.ostendum.core.plan.Term;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What counts how much when plans are compared: seen by everybody, shifted by a lead. */
@Controller
class WeightsController {
    private static final double MOST = 100_000;

    private final PlanWeights weights;
    private final PlannedJobs planned;

    WeightsController(PlanWeights weights, PlannedJobs planned) {
        this.weights = weights;
        this.planned = planned;
    }

    /**
     * One part of a plan's cost.
     *
     * @param typed weight as it stands in the field
     * @param usual where nobody has said otherwise
     * @param now what it is in the plan in force; null for none
     */
    record Line(Term term, String typed, String usual, @Nullable TermCost now) {}

    @GetMapping("/plan/weights")
    String weights(Words words, Model page) {
        Map<Term, Double> kept = weights.all();
        List<Line> lines = lines(term -> PlainNumber.say(kept.getOrDefault(term, term.usualWeight())), words.now());
        return show(lines, TypedForm.of(words), page);
    }

    private List<Line> lines(Function<Term, String> typed, Instant now) {
        List<TermCost> costs =
                planned.inForce(now).map(InForce::plan).map(Plan::terms).orElse(List.of());
        return Arrays.stream(Term.values())
                .map(term -> new Line(
                        term,
                        typed.apply(term),
                        PlainNumber.say(term.usualWeight()),
                        costs.stream()
                                .filter(cost -> cost.term() == term)
                                .findFirst()
                                .orElse(null)))
                .toList();
    }

    private static String show(List<Line> lines, TypedForm form, Model page) {
        page.addAttribute("place", "plan");
        page.addAttribute("lines", lines);
        page.addAttribute("faults", form.faults());
        return "plan/weights";
    }

    @PostMapping("/plan/weights")
    Object keep(
            @RequestParam Map<String, String> typed, Person person, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Map<Term, Double> wanted = new EnumMap<>(Term.class);
        for (Term term : Term.values()) {
            wanted.put(term, form.get(term.word()).isEmpty() ? term.usualWeight() : form.number(term.word(), 0, MOST));
        }
        if (!form.isSound()) {
            List<Line> lines = lines(term -> form.get(term.word()), words.now());
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(lines, form, page), page);
        }
        weights.keep(wanted, person.id(), words.now());
        flash.addFlashAttribute("told", words.text("plan.weights.kept"));
        return "redirect:/plan";
    }
}
