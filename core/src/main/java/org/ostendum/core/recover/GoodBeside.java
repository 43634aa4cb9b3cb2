package org.ostendum.core.recover;

import java.time.Duration;
import org.ostendum.core.state.BatteryState;

/**
 * A good battery beside a flat one, plus to plus and minus to minus: the flat one's charger senses the good one and begins. Practice
 * {@code recover.parallel}.
 */
public final class GoodBeside {
    /** After it the good one comes off (rule of thumb). */
    public static final Duration TIME = Duration.ofMinutes(20);

    private GoodBeside() {}

    /** @return whether the second may lie beside the first: full, whole and free, of the same voltage, and of a kind that takes the same charge */
    public static boolean suits(BatteryState flat, BatteryState good) {
        return good.isFitForWork()
                && good.cells().nominalVolts() == flat.cells().nominalVolts()
                && good.model().kind() == flat.model().kind();
    }

    /** @return whether the charger has to hold one voltage, within the limit of the maker: sealed cells cannot be topped up again */
    public static boolean needsLimit(BatteryState flat) {
        return !flat.model().kind().hasCaps();
    }
}
