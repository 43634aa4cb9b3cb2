package org.ostendum.core.change;

import java.time.Duration;
import java.util.Comparator;
import org.jspecify.annotations.Nullable;

/**
 * The order in which full batteries go to work: the longest rested first, of those that have rested alike the one that has worked least.
 * Every list of ready batteries has this order. Practice {@code change.choose}.
 *
 * @param rested since it was full; null where it is not known to be, which comes last
 * @param cycles lately
 */
public record RestOrder(String code, @Nullable Duration rested, int cycles) implements Comparable<RestOrder> {
    /** How long back cycles count: what was long ago says little of who has his turn. */
    public static final Duration LATELY = Duration.ofDays(60);

    /** Rests that differ by less were alike: nobody hurries a shift for hours. */
    private static final Duration ALIKE = Duration.ofHours(12);

    private static final Comparator<RestOrder> ORDER = Comparator.comparing(
                    RestOrder::restedTimes, Comparator.reverseOrder())
            .thenComparing(RestOrder::cycles)
            .thenComparing(RestOrder::code);

    private long restedTimes() {
        // In whole seconds: a list of thousands compares each many times, and durations divide by long decimal numbers.
        return rested == null ? -1 : rested.toSeconds() / ALIKE.toSeconds();
    }

    @Override
    public int compareTo(RestOrder other) {
        return ORDER.compare(this, other);
    }
}
