package org.ostendum.web.charging;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charger.ChargerMatch;
import org.ostendum.core.charger.Misfit;
import org.ostendum.web.judgement.Bench;
import org.ostendum.web.page.NotFound;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.RoomPlan;
import org.ostendum.web.store.Rooms;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What charges, cools and is ready; and whether a charger goes with a battery. */
@Controller
class ChargingController {
    private final ChargingDesk desk;
    private final Batteries batteries;
    private final Rooms rooms;
    private final Bench bench;

    ChargingController(ChargingDesk desk, Batteries batteries, Rooms rooms, Bench bench) {
        this.desk = desk;
        this.batteries = batteries;
        this.rooms = rooms;
        this.bench = bench;
    }

    @GetMapping("/charging")
    String charging(@RequestParam(defaultValue = "on") String fan, Model page) {
        boolean fanOff = fan.equals("off");
        page.addAttribute("place", "charging");
        page.addAttribute("fanOff", fanOff);
        page.addAttribute("view", desk.view(fanOff));
        return "charging/charging";
    }

    /** A charger beside a battery, and what does not fit. */
    record Match(RoomPlan.Charger charger, List<Misfit> misfits) {
        public boolean isRefused() {
            return ChargerMatch.isRefused(misfits);
        }
    }

    @GetMapping("/batteries/{code}/chargers")
    String chargers(@PathVariable String code, @RequestParam @Nullable String charger, Model page) {
        Battery battery = batteries.byCode(code).orElseThrow(() -> new NotFound("battery " + code));
        List<Match> matches = rooms.plans().stream()
                .flatMap(RoomPlan::chargers)
                .map(c -> new Match(c, ChargingDesk.misfits(c, battery, bench.rulesFor(battery))))
                .toList();
        page.addAttribute("place", "charging");
        page.addAttribute("battery", battery);
        page.addAttribute(
                "fit", matches.stream().filter(m -> m.misfits().isEmpty()).toList());
        page.addAttribute(
                "refused", matches.stream().filter(m -> !m.misfits().isEmpty()).toList());
        page.addAttribute(
                "asked",
                matches.stream()
                        .filter(m -> m.charger().code().equals(charger))
                        .findFirst()
                        .orElse(null));
        return "charging/chargers";
    }
}
