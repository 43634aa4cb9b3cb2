package org.ostendum.web.charging;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.web.charging.ChargerMatches.Match;
import org.ostendum.web.page.NotFound;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
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
    private final ChargerMatches matches;
    private final Schools schools;

    ChargingController(ChargingDesk desk, Batteries batteries, ChargerMatches matches, Schools schools) {
        this.desk = desk;
        this.batteries = batteries;
        this.matches = matches;
        this.schools = schools;
    }

    @GetMapping("/charging")
    String charging(@RequestParam(defaultValue = "on") String fan, Model page) {
        boolean fanOff = fan.equals("off");
        page.addAttribute("place", "charging");
        page.addAttribute("fanOff", fanOff);
        page.addAttribute("view", desk.view(fanOff));
        return "charging/charging";
    }

    @GetMapping("/batteries/{code}/chargers")
    String chargers(@PathVariable String code, @RequestParam @Nullable String charger, Model page) {
        Battery battery = batteries.byCode(code).orElseThrow(() -> new NotFound("battery " + code));
        List<Match> all = matches.all(battery, schools.usual(battery));
        page.addAttribute("place", "charging");
        page.addAttribute("battery", battery);
        page.addAttribute("fit", all.stream().filter(Match::isGood).toList());
        page.addAttribute("refused", all.stream().filter(m -> !m.isGood()).toList());
        page.addAttribute(
                "asked",
                all.stream()
                        .filter(m -> m.charger().code().equals(charger))
                        .findFirst()
                        .orElse(null));
        return "charging/chargers";
    }
}
