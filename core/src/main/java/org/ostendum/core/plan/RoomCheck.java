package org.ostendum.core.plan;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Whether power and hydrogen stay within what the room bears, at every moment. */
final class RoomCheck {
    private static final double ROUNDING = 1e-6;

    private RoomCheck() {}

    static List<Breach> breaches(PlanProblem problem, PlanLookup lookup, List<PlanJob> jobs) {
        List<Breach> breaches = new ArrayList<>();
        PlanLoads loads = new PlanLoads(lookup, jobs);
        over(loads.kilowatts(), problem.room().kwMost(), HardRule.KILOWATTS, "kW", breaches);
        over(loads.hydrogen(), problem.room().litresPerHourMost(), HardRule.HYDROGEN, "l/h", breaches);
        return breaches;
    }

    private static void over(
            Map<Instant, Double> load, @Nullable Double most, HardRule rule, String unit, List<Breach> breaches) {
        if (most == null) {
            return;
        }
        load.forEach((at, sum) -> {
            if (sum > most + ROUNDING) {
                breaches.add(new Breach(rule, at.toString(), sum + " of " + most + " " + unit));
            }
        });
    }
}
