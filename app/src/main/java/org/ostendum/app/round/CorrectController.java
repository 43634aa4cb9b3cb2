package org.ostendum.app.round;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.Option;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.Corrections;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.SpecificGravity;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Putting right what was read of one cell, in the newest round or an earlier one. */
@Controller
class CorrectController {
    private final RoundsOnRecord rounds;
    private final Corrections corrections;

    CorrectController(RoundsOnRecord rounds, Corrections corrections) {
        this.rounds = rounds;
        this.corrections = corrections;
    }

    private record Target(RoundsOnRecord.Found found, CellReading reading) {}

    @GetMapping("/batteries/{battery}/correct")
    String correct(
            Battery battery, @RequestParam int cell, @RequestParam @Nullable Integer line, Words words, Model page) {
        Target target = target(battery, line, cell);
        return show(target, CellForm.of(target.reading()), Faults.NONE, words, page);
    }

    private String show(Target target, CellForm form, Faults faults, Words words, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute(
                "view",
                new CorrectCellView(
                        target.found(),
                        target.reading(),
                        form,
                        Option.of(Level.class, words),
                        Option.of(Colour.class, words),
                        corrections.seen(
                                target.found().round(), target.reading().cell())));
        page.addAttribute("faults", faults);
        return "round/correct";
    }

    @PostMapping("/batteries/{battery}/correct")
    Object write(
            Battery battery,
            @RequestParam int cell,
            @RequestParam @Nullable Integer line,
            @RequestParam(defaultValue = "") String seen,
            @ModelAttribute CellForm form,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Target target = target(battery, line, cell);
        Faults.Finder faults = new Faults.Finder(words);
        CellReading is = form.read(target.reading(), words, faults);
        String reason = CellForm.reason(form.reason(), faults);
        if (faults.any()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(target, form, faults.found(), words, page), page);
        }
        RoundsOnRecord.Found found = target.found();
        if (!corrections.correct(found.battery(), found.round(), target.reading(), is, seen, reason, person.id())) {
            faults.add("value", "correct.fault.meanwhile");
            return Faults.page(
                    HttpStatus.CONFLICT, show(target(battery, line, cell), form, faults.found(), words, page), page);
        }
        SpecificGravity gravity = is.gravity();
        boolean ofGravity = gravity != null && !gravity.equals(target.reading().gravity());
        flash.addFlashAttribute(
                "told",
                ofGravity && gravity != null
                        ? words.text("correct.done", cell, gravity)
                        : words.text("correct.done.besides", cell));
        return "redirect:/batteries/" + found.battery().code();
    }

    private Target target(Battery battery, @Nullable Integer line, int cell) {
        RoundsOnRecord.Found found = rounds.of(battery, line);
        return found.round()
                .past()
                .round()
                .reading(cell)
                .map(reading -> new Target(found, reading))
                .orElseThrow(() -> new NotFound("cell " + cell + " in that round of " + battery.code()));
    }
}
