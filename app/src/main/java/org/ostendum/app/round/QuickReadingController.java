package org.ostendum.app.round;

import org.ostendum.app.form.Faults;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A figure or two without a round around them. */
@Controller
class QuickReadingController {
    private final QuickReading readings;
    private final BatteryStates batteryStates;

    QuickReadingController(QuickReading readings, BatteryStates batteryStates) {
        this.readings = readings;
        this.batteryStates = batteryStates;
    }

    @GetMapping("/batteries/{battery}/reading")
    String reading(Battery battery, Model page) {
        RoundState state = batteryStates.stateOf(battery).roundState();
        return show(battery, ReadingForm.in(state), Faults.NONE, page);
    }

    private static String show(Battery battery, ReadingForm form, Faults faults, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("form", form);
        page.addAttribute("faults", faults);
        page.addAttribute("states", RoundState.values());
        return "round/reading";
    }

    @PostMapping("/batteries/{battery}/reading")
    Object take(
            Battery battery,
            @ModelAttribute("form") ReadingForm form,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Faults.Finder faults = new Faults.Finder(words);
        readings.take(battery, form, person, words, faults);
        if (faults.any()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, faults.found(), page), page);
        }
        flash.addFlashAttribute("told", words.text("reading.kept"));
        return "redirect:/batteries/" + battery.code();
    }
}
