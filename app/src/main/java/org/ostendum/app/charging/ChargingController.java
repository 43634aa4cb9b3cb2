package org.ostendum.app.charging;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargePolicy;
import org.ostendum.app.charging.ChargerMatches.Match;
import org.ostendum.app.inventory.Battery;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What charges, cools and is ready; and whether a charger goes with a battery. */
@Controller
class ChargingController {
    private final ChargingViews views;
    private final ChargerMatches matches;
    private final ChargePolicy policy;

    ChargingController(ChargingViews views, ChargerMatches matches, ChargePolicy policy) {
        this.views = views;
        this.matches = matches;
        this.policy = policy;
    }

    @GetMapping("/charging")
    String charging(@RequestParam(defaultValue = "on") String fan, Model page) {
        boolean fanOff = fan.equals("off");
        page.addAttribute("place", "charging");
        page.addAttribute("fanOff", fanOff);
        page.addAttribute("view", views.view(fanOff));
        return "charging/charging";
    }

    @GetMapping("/batteries/{battery}/chargers")
    String chargers(Battery battery, @RequestParam @Nullable String charger, Model page) {
        List<Match> all = matches.all(battery, policy.usual(battery));
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
