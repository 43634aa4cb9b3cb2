package org.ostendum.app.plan;

import java.time.Duration;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The plan: over time and as a list, why each job is where it is, what else could be; searched, taken, dropped. */
@Controller
class PlanController {
    private static final Duration WEEK = Duration.ofDays(7);

    private final PlanPages pages;
    private final PlanRuns runs;
    private final Planning planning;

    PlanController(PlanPages pages, PlanRuns runs, Planning planning) {
        this.pages = pages;
        this.runs = runs;
        this.planning = planning;
    }

    @GetMapping("/plan")
    String plan(
            @RequestParam(defaultValue = "charger") String by,
            @RequestParam(defaultValue = "") String job,
            Words words,
            Model page) {
        page.addAttribute("place", "plan");
        page.addAttribute("view", pages.view(Timeline.By.of(by), job, words.now()));
        return "plan/plan";
    }

    @GetMapping("/plan/list")
    String list(Words words, Model page) {
        page.addAttribute("place", "plan");
        page.addAttribute("view", pages.list(words.now()).orElse(null));
        return "plan/list";
    }

    /** What is best so far, asked again and again while a search runs. */
    @GetMapping("/plan/progress")
    String progress(Model page) {
        page.addAttribute("underWay", pages.underWay().orElse(null));
        return "plan/progress :: asked";
    }

    @PostMapping("/plan")
    String ask(@RequestParam(defaultValue = "day") String ahead, Person person, Words words, RedirectAttributes flash) {
        if (pages.underWay().isPresent()) {
            flash.addFlashAttribute("told", words.text("plan.searching.already"));
        } else {
            planning.ask(ahead.equals("week") ? WEEK : Planning.DAY, "", person.id());
        }
        return "redirect:/plan";
    }

    @PostMapping("/plan/{id}/stop")
    String stop(@PathVariable long id) {
        runs.askToStop(id);
        return "redirect:/plan";
    }

    @PostMapping("/plan/{id}/take")
    String take(@PathVariable long id, Person person, Words words, RedirectAttributes flash) {
        boolean taken = runs.take(id, person.id(), words.now());
        flash.addFlashAttribute("told", words.text(taken ? "plan.taken" : "plan.gone"));
        return "redirect:/plan";
    }

    @PostMapping("/plan/{id}/drop")
    String drop(@PathVariable long id, Words words) {
        runs.drop(id, words.now());
        return "redirect:/plan";
    }
}
