package org.ostendum.app.plan;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The next jobs of a person, and those that are anybody's. */
@Controller
class RunListController {
    private final Planning planning;
    private final PlanChanges changes;
    private final PlannedJobs planned;

    RunListController(Planning planning, PlanChanges changes, PlannedJobs planned) {
        this.planning = planning;
        this.changes = changes;
        this.planned = planned;
    }

    @GetMapping("/plan/mine")
    String mine(Person person, Words words, Model page) {
        page.addAttribute("place", "plan");
        page.addAttribute(
                "view",
                planning.inForce()
                        .map(run -> new RunListView(run, planned.runList(person.login(), words.now())))
                        .orElse(null));
        return "plan/mine";
    }

    @PostMapping("/plan/{id}/done")
    String done(@PathVariable long id, @RequestParam String job, Person person, Words words, RedirectAttributes flash) {
        if (changes.done(changes.changeable(id).id(), job, person, words)) {
            flash.addFlashAttribute("told", words.text("plan.done"));
        } else {
            flash.addFlashAttribute("fault", words.text("plan.done.open"));
        }
        return "redirect:/plan/mine";
    }

    @PostMapping("/plan/{id}/not-possible")
    String notPossible(
            @PathVariable long id,
            @RequestParam String job,
            @RequestParam @Nullable NotPossible why,
            Person person,
            Words words,
            RedirectAttributes flash) {
        if (why == null) {
            flash.addFlashAttribute("fault", words.text("fault.choose"));
            return "redirect:/plan/mine";
        }
        changes.notPossible(changes.changeable(id).id(), job, why, person, words);
        flash.addFlashAttribute("told", words.text("plan.not-possible.told"));
        return "redirect:/plan/mine";
    }
}
