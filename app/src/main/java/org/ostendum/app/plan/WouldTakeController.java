package org.ostendum.app.plan;

import java.time.Duration;
import java.time.ZoneId;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.ostendum.app.form.Faults;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.BrokenPlan;
import org.ostendum.core.plan.need.Pool;
import org.ostendum.core.plan.need.WouldTake;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What it would take: is the pool large enough, and what would a battery, chargers, another school or tariff change. */
@Controller
class WouldTakeController {
    private static final Duration WEEK = Duration.ofDays(7);
    private static final String PAGE = "plan/would-take";

    private final Planning planning;
    private final ZoneId zone;
    private final Duration wait;
    /** A look plans the week a dozen times: they take turns. */
    final Semaphore turn = new Semaphore(1, true);

    /** @param wait how long somebody waits for his turn before he is told to come again */
    WouldTakeController(Planning planning, ZoneId zone, @Value("${ostendum.plan.turn}") Duration wait) {
        this.planning = planning;
        this.zone = zone;
        this.wait = wait;
    }

    @GetMapping("/plan/would-take")
    Object wouldTake(@RequestParam(defaultValue = "0") int pool, Model page) throws InterruptedException {
        page.addAttribute("place", "plan");
        if (!turn.tryAcquire(wait.toMillis(), TimeUnit.MILLISECONDS)) {
            page.addAttribute("view", WouldTakeView.BUSY);
            return Faults.page(HttpStatus.SERVICE_UNAVAILABLE, PAGE, page);
        }
        try {
            page.addAttribute("view", weighed(pool));
            return PAGE;
        } finally {
            turn.release();
        }
    }

    private WouldTakeView weighed(int pool) {
        PlanProblem house = planning.house(WEEK);
        List<Pool> pools = Pool.of(house);
        if (pools.isEmpty()) {
            return WouldTakeView.NONE;
        }
        int chosen = Math.max(0, Math.min(pools.size() - 1, pool));
        Pool of = pools.get(chosen);
        return new WouldTakeView(false, pools, chosen, of.batteries(house).size(), lines(house, of));
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
