package org.ostendum.app.fleet;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Finds batteries by code, serial or machine. */
@Controller
class FindController {
    private final Batteries batteries;
    private final BatteryStates batteryStates;

    FindController(Batteries batteries, BatteryStates batteryStates) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
    }

    /** A battery found, with its present state. */
    record Found(Battery battery, BatteryState state) {}

    @GetMapping("/find")
    String find(@RequestParam(defaultValue = "") String q, @RequestParam @Nullable String part, Model page) {
        List<Battery> matches = q.isBlank() ? List.of() : batteries.find(q);
        Map<Long, BatteryState> states = batteryStates.statesOf(matches);
        page.addAttribute("place", "fleet");
        page.addAttribute("q", q);
        page.addAttribute(
                "found",
                matches.stream()
                        .map(b -> new Found(b, Objects.requireNonNull(states.get(b.id()))))
                        .toList());
        return part == null ? "find/find" : "find/find :: found";
    }
}
