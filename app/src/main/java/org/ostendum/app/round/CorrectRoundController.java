package org.ostendum.app.round;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.Option;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.Corrections;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Celsius;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Putting right what was said of a whole round: what it was taken on, and its temperature. */
@Controller
class CorrectRoundController {
    private final RoundsOnRecord rounds;
    private final Corrections corrections;

    CorrectRoundController(RoundsOnRecord rounds, Corrections corrections) {
        this.rounds = rounds;
        this.corrections = corrections;
    }

    @GetMapping("/batteries/{battery}/correct/round")
    String correct(Battery battery, @RequestParam @Nullable Integer line, Words words, Model page) {
        RoundsOnRecord.Found found = rounds.of(battery, line);
        return show(found, found.round().past().round().state(), "", "", Faults.NONE, words, page);
    }

    private String show(
            RoundsOnRecord.Found found,
            RoundState state,
            String temperature,
            String reason,
            Faults faults,
            Words words,
            Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute(
                "view",
                new CorrectRoundView(
                        found,
                        Option.of(RoundState.class, words),
                        state.name(),
                        temperature,
                        reason,
                        corrections.seen(found.round(), null)));
        page.addAttribute("faults", faults);
        return "round/correct-round";
    }

    @PostMapping("/batteries/{battery}/correct/round")
    Object write(
            Battery battery,
            @RequestParam @Nullable Integer line,
            @RequestParam(defaultValue = "") String seen,
            @RequestParam RoundState state,
            @RequestParam(defaultValue = "") String temperature,
            @RequestParam(defaultValue = "") String reason,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        RoundsOnRecord.Found found = rounds.of(battery, line);
        Round was = found.round().past().round();
        Faults.Finder faults = new Faults.Finder(words);
        @Nullable Celsius typed = TypedInput.temperature(temperature, words).orTell("temperature", faults);
        @Nullable Celsius celsius = typed == null ? was.temperature() : typed;
        String because = CellForm.reason(reason, faults);
        if (!faults.any() && state == was.state() && Objects.equals(celsius, was.temperature())) {
            faults.add("temperature", "correct.fault.same");
        }
        if (faults.any()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    show(found, state, temperature, reason, faults.found(), words, page),
                    page);
        }
        if (!corrections.correct(found.battery(), found.round(), state, celsius, seen, because, person.id())) {
            faults.add("state", "correct.fault.meanwhile");
            return Faults.page(
                    HttpStatus.CONFLICT,
                    show(rounds.of(battery, line), state, temperature, reason, faults.found(), words, page),
                    page);
        }
        flash.addFlashAttribute("told", words.text("correct.round.done"));
        return "redirect:/batteries/" + found.battery().code();
    }
}
