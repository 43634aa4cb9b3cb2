package org.ostendum.app.battery;

import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.procedure.PlacedThing;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What stands beside a list for the battery of the line in focus: how it is, and what to do with it. */
@Controller
class BesideController {
    private static final int THINGS = 6;

    private final BatteryStates batteryStates;

    BesideController(BatteryStates batteryStates) {
        this.batteryStates = batteryStates;
    }

    @GetMapping("/batteries/{battery}/beside")
    String beside(Battery battery, Words words, Model page) {
        BatteryState state = batteryStates.stateOf(battery);
        List<PlacedThing> things = NextThings.of(battery.code(), state).stream()
                .limit(THINGS)
                .map(PlacedThing::of)
                .toList();
        page.addAttribute("battery", battery);
        page.addAttribute("verdict", state.verdict().sentence());
        page.addAttribute("facts", StateWords.of(state, words));
        page.addAttribute("things", things);
        return "battery/beside :: beside";
    }
}
