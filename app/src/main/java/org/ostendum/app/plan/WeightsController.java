package org.ostendum.app.plan;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.PlainNumber;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.plan.house.PlanWeights;
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
    private final PlanRuns runs;
    private final Planning planning;

    WeightsController(PlanWeights weights, PlanRuns runs, Planning planning) {
        this.weights = weights;
        this.runs = runs;
        this.planning = planning;
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
        TypedForm form = TypedForm.of(words);
        List<Line> lines = List.of(Term.values()).stream()
                .map(term -> line(term, PlainNumber.say(kept.getOrDefault(term, term.usualWeight()))))
                .toList();
        return show(lines, form, page);
    }

    private Line line(Term term, String typed) {
        Optional<Plan> plan = planning.inForce().flatMap(run -> runs.plan(run.id()));
        return new Line(
                term,
                typed,
                PlainNumber.say(term.usualWeight()),
                plan.flatMap(p -> p.terms().stream()
                                .filter(cost -> cost.term() == term)
                                .findFirst())
                        .orElse(null));
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
            List<Line> lines = List.of(Term.values()).stream()
                    .map(term -> line(term, form.get(term.word())))
                    .toList();
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(lines, form, page), page);
        }
        weights.keep(wanted, person.id(), words.now());
        flash.addFlashAttribute("told", words.text("plan.weights.kept"));
        return "redirect:/plan";
    }
}
