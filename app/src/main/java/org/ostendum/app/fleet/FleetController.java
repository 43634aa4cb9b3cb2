package org.ostendum.app.fleet;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;

/** All batteries of the site, those that need something first. */
@Controller
class FleetController {
    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final ZoneId zone;

    FleetController(Batteries batteries, BatteryStates batteryStates, ZoneId zone) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.zone = zone;
    }

    @GetMapping("/fleet")
    String fleet(@ModelAttribute("filter") FleetFilter filter, Model page) {
        List<FleetLine> all = lines();
        List<FleetLine> found = filter.of(all);
        page.addAttribute("place", "fleet");
        page.addAttribute("view", new FleetView(all, found, filter.shown(found), jobs(all)));
        return "fleet/fleet";
    }

    private List<FleetLine> lines() {
        List<Battery> all = batteries.all();
        Rulebook book = batteryStates.rulebook();
        Instant now = batteryStates.instant();
        LocalDate today = LocalDate.ofInstant(now, zone);
        Map<Long, BatteryState> states = batteryStates.statesOf(all, book);
        return all.stream()
                .map(battery -> FleetLine.of(battery, Objects.requireNonNull(states.get(battery.id())), today))
                .toList();
    }

    /** Only what some battery needs can be asked for. */
    private static List<NextStep> jobs(List<FleetLine> all) {
        return all.stream()
                .flatMap(line -> line.things().stream().map(NextThing::step))
                .distinct()
                .sorted()
                .toList();
    }
}
