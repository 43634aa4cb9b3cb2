package org.ostendum.app.plan;

import java.time.Instant;
import java.util.Optional;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A job of the plan as a person wants it: pinned, moved, forbidden. */
@Controller
class PlanChangeController {
    private final PlanChanges changes;

    PlanChangeController(PlanChanges changes) {
        this.changes = changes;
    }

    @PostMapping("/plan/{id}/pin")
    String pin(@PathVariable long id, @RequestParam String job, @RequestParam(defaultValue = "charger") String by) {
        changes.pin(changes.changeable(id).id(), job);
        return "redirect:/plan?by=" + Timeline.By.of(by).word() + "&job=" + job;
    }

    /** The way a person wants it: pinned, and proposed. */
    @PostMapping("/plan/{id}/move")
    String move(
            @PathVariable long id,
            @RequestParam String job,
            @RequestParam String charger,
            @RequestParam Instant start,
            Person person,
            Words words,
            RedirectAttributes flash) {
        Optional<String> moved = changes.move(changes.changeable(id).id(), job, charger, start, person, words);
        if (moved.isEmpty()) {
            flash.addFlashAttribute("fault", words.text("plan.move.not", charger, words.moment(start)));
            return "redirect:/plan?job=" + job;
        }
        return "redirect:/plan?job=" + moved.get();
    }

    @PostMapping("/plan/{id}/forbid")
    String forbid(
            @PathVariable long id, @RequestParam String job, Person person, Words words, RedirectAttributes flash) {
        changes.forbid(changes.changeable(id).id(), job, person, words);
        flash.addFlashAttribute("told", words.text("plan.mishap.told"));
        return "redirect:/plan";
    }
}
