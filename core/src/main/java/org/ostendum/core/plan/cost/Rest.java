package org.ostendum.core.plan.cost;

import java.time.Duration;
import java.time.Instant;

/** Longest rested first: one that has rested a day has rested enough. Practice {@code change.choose}. */
public final class Rest {
    private static final double ENOUGH_HOURS = 24;

    private Rest() {}

    /** @return hours by which it has rested less than a day */
    public static double hoursShort(Instant ready, Instant works) {
        return hoursShort(Duration.between(ready, works).toMinutes() / 60.0);
    }

    public static double hoursShort(double rested) {
        return Math.max(0, ENOUGH_HOURS - Math.max(0, rested));
    }
}
