package org.ostendum.core.plan.cost;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;

/** Changes at the last moment: whoever is ill that morning, or a battery that cools a little longer, leaves a machine standing. */
public final class Hurry {
    /** A change that begins so shortly before the shift is made in a hurry (rule of thumb). */
    public static final Duration WITHIN = Duration.ofHours(1);

    private Hurry() {}

    /** @return how many changes are made in a hurry */
    static long changes(Plan plan) {
        Map<String, Instant> starts = plan.jobs(Task.USE)
                .collect(Collectors.toMap(use -> use.machine() + "\n" + use.shift(), PlanJob::start, (a, b) -> a));
        return plan.jobs(Task.CHANGE)
                .filter(change -> isLate(change, starts.get(change.machine() + "\n" + change.shift())))
                .count();
    }

    private static boolean isLate(PlanJob change, @Nullable Instant shift) {
        return shift != null && change.start().plus(WITHIN).isAfter(shift);
    }
}
