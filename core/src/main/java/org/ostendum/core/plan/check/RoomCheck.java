package org.ostendum.core.plan.check;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLoads;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;

/** Whether power and hydrogen stay within what the room bears, at every moment at which something is on that has not begun yet. */
final class RoomCheck {
    private static final double ROUNDING = 1e-6;

    private RoomCheck() {}

    static List<Breach> breaches(PlanProblem problem, PlanLookup lookup, List<PlanJob> jobs) {
        List<Breach> breaches = new ArrayList<>();
        PlanLoads loads = new PlanLoads(lookup, jobs);
        PlanLoads begun = new PlanLoads(
                lookup,
                jobs.stream().filter(job -> PlanChecker.hasBegun(problem, job)).toList());
        over(loads.kilowatts(), begun.kilowatts(), problem.room().kwMost(), HardRule.KILOWATTS, "kW", breaches);
        over(
                loads.hydrogen(),
                begun.hydrogen(),
                problem.room().litresPerHourMost(),
                HardRule.HYDROGEN,
                "l/h",
                breaches);
        problem.room()
                .airs()
                .forEach((air, most) -> over(
                        loads.hydrogen(air), begun.hydrogen(air), most, HardRule.HYDROGEN, "l/h in " + air, breaches));
        return breaches;
    }

    private static void over(
            Map<Instant, Double> load,
            SortedMap<Instant, Double> begun,
            @Nullable Double most,
            HardRule rule,
            String unit,
            List<Breach> breaches) {
        if (most == null) {
            return;
        }
        load.forEach((at, sum) -> {
            if (sum > most + ROUNDING && sum > PlanLoads.at(begun, at) + ROUNDING) {
                breaches.add(new Breach(rule, at.toString(), sum + " of " + most + " " + unit));
            }
        });
    }
}
