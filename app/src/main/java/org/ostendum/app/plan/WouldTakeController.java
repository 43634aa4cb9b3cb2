package org.ostendum.app.plan;

import java.time.Duration;
import java.time.ZoneId;
import java.util.List;
import org.ostendum.app.words.Words;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.BrokenPlan;
import org.ostendum.core.plan.need.Pool;
import org.ostendum.core.plan.need.WouldTake;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What it would take: is the pool large enough, and what would a battery, chargers, another school or tariff change. */
@Controller
class WouldTakeController {
    private static final Duration WEEK = Duration.ofDays(7);

    private final Planning planning;
    private final ZoneId zone;

    WouldTakeController(Planning planning, ZoneId zone) {
        this.planning = planning;
        this.zone = zone;
    }

    @GetMapping("/plan/would-take")
    String wouldTake(@RequestParam(defaultValue = "0") int pool, Words words, Model page) {
        PlanProblem house = planning.house(WEEK);
        List<Pool> pools = Pool.of(house);
        page.addAttribute("place", "plan");
        page.addAttribute("pools", pools);
        if (!pools.isEmpty()) {
            int chosen = Math.max(0, Math.min(pools.size() - 1, pool));
            page.addAttribute("chosen", chosen);
            page.addAttribute("many", pools.get(chosen).batteries(house).size());
            page.addAttribute("lines", lines(house, pools.get(chosen)));
        }
        return "plan/would-take";
    }

    /** What people have pinned is of the days ahead, and may break in a week that is only thought of. */
    private List<WouldTake.Line> lines(PlanProblem house, Pool pool) {
        try {
            return WouldTake.of(house, pool, zone);
        } catch (BrokenPlan e) {
            return WouldTake.of(house.withoutPins(), pool, zone);
        }
    }
}
