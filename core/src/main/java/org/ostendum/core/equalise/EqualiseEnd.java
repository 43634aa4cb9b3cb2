package org.ostendum.core.equalise;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;

/**
 * An equalising charge is done when the lowest cell has stopped rising: three readings, an hour apart, of which the later
 * lie no higher than the first. Practice {@code equalise.how}.
 */
public final class EqualiseEnd {
    private static final int READINGS = 3;
    private static final Duration NEARLY_AN_HOUR = Duration.ofMinutes(50);
    /** Tenths of a point a hydrometer cannot tell. */
    private static final int NO_RISE = 10;

    private EqualiseEnd() {}

    /** One reading of the lowest cell. */
    public record Hourly(Instant at, CorrectedGravity gravity, Celsius temperature) {}

    /** @param hourly oldest first; of those taken too soon after another the later does not count */
    public static boolean isReached(List<Hourly> hourly) {
        return stillWanted(hourly) == 0;
    }

    /** @return readings that must still come out no higher, 0 to 3 */
    public static int stillWanted(List<Hourly> hourly) {
        int flat = 0;
        @Nullable Hourly first = null;
        for (Hourly reading : counted(hourly)) {
            boolean rose = first == null
                    || reading.gravity().tenths() - first.gravity().tenths() > NO_RISE;
            first = rose ? reading : first;
            flat = rose ? 1 : flat + 1;
        }
        return Math.max(0, READINGS - flat);
    }

    /** @return from when on another reading counts; empty before the first */
    public static Optional<Instant> nextFrom(List<Hourly> hourly) {
        List<Hourly> counted = counted(hourly);
        return counted.isEmpty()
                ? Optional.empty()
                : Optional.of(counted.get(counted.size() - 1).at().plus(NEARLY_AN_HOUR));
    }

    private static List<Hourly> counted(List<Hourly> hourly) {
        List<Hourly> counted = new ArrayList<>();
        @Nullable Hourly last = null;
        for (Hourly reading : hourly) {
            if (last == null || Duration.between(last.at(), reading.at()).compareTo(NEARLY_AN_HOUR) >= 0) {
                counted.add(reading);
                last = reading;
            }
        }
        return counted;
    }
}
