package org.ostendum.web.battery;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.GravityEntry;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.web.page.Faults;
import org.ostendum.web.page.NotFound;
import org.ostendum.web.state.Corrections;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.ClosedRound;
import org.ostendum.web.store.Person;
import org.ostendum.web.store.Rounds;
import org.ostendum.web.words.Words;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Correcting a gravity of the newest round on record. */
@Controller
class CorrectController {
    private final Batteries batteries;
    private final Rounds rounds;
    private final Corrections corrections;

    CorrectController(Batteries batteries, Rounds rounds, Corrections corrections) {
        this.batteries = batteries;
        this.rounds = rounds;
        this.corrections = corrections;
    }

    private record Target(Battery battery, ClosedRound round, CellReading reading) {}

    @GetMapping("/batteries/{code}/correct")
    String correct(@PathVariable String code, @RequestParam int cell, Model page) {
        return show(target(code, cell), "", "", Faults.NONE, page);
    }

    private static String show(Target target, String value, String reason, Faults faults, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", target.battery());
        page.addAttribute("round", target.round().past().round());
        page.addAttribute("reading", target.reading());
        page.addAttribute("value", value);
        page.addAttribute("reason", reason);
        page.addAttribute("faults", faults);
        return "battery/correct";
    }

    @PostMapping("/batteries/{code}/correct")
    Object write(
            @PathVariable String code,
            @RequestParam int cell,
            @RequestParam(defaultValue = "") String value,
            @RequestParam(defaultValue = "") String reason,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Target target = target(code, cell);
        Faults.Finder faults = new Faults.Finder(words);
        SpecificGravity gravity = gravity(value, target, person, faults);
        if (reason.strip().length() < 3 || reason.length() > 400) {
            faults.add("reason", "correct.fault.reason");
        }
        if (faults.any() || gravity == null) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(target, value, reason, faults.found(), page), page);
        }
        CellReading was = target.reading();
        CellReading is = new CellReading(
                cell, gravity, false, true, was.temperature(), was.volts(), was.onCharge(), was.level(), was.colour());
        corrections.correct(target.battery(), target.round(), was, is, reason.strip(), person.id());
        flash.addFlashAttribute("told", words.text("correct.done", cell, gravity));
        return "redirect:/batteries/" + target.battery().code();
    }

    private static @Nullable SpecificGravity gravity(String typed, Target target, Person person, Faults.Finder faults) {
        GravityEntry entry = GravityEntry.read(typed, person.gravityForm());
        if (entry instanceof GravityEntry.Accepted accepted) {
            if (accepted.gravity().equals(target.reading().gravity())) {
                faults.add("value", "correct.fault.same");
            }
            return accepted.gravity();
        } else if (entry instanceof GravityEntry.Impossible impossible) {
            faults.add("value", "round.refused", impossible.typed());
        } else {
            int digits = person.gravityForm().digits();
            faults.add("value", "round.not-understood", typed, digits, digits == 3 ? "265" : "1265");
        }
        return null;
    }

    private Target target(String code, int cell) {
        Battery battery = batteries.byCode(code).orElseThrow(() -> new NotFound("battery " + code));
        List<ClosedRound> newest = rounds.history(battery.id(), 1);
        return newest.stream()
                .findFirst()
                .flatMap(
                        round -> round.past().round().reading(cell).map(reading -> new Target(battery, round, reading)))
                .orElseThrow(() -> new NotFound("cell " + cell + " in the last round of " + code));
    }
}
