package org.ostendum.planner;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class PeakTest {
    private static final long HOUR = 3600;
    private static final long DAY = 24 * HOUR;

    private final Peak peak = new Peak(DAY);

    @Test
    void oneChargeIsFeltALittleAboveItsPower() {
        peak.add(10_000, 0, 10 * HOUR);
        assertThat(peak.watts()).isBetween(10_000.0, 12_000.0);
    }

    /** Two peaks of two chargers each: to move one charge out of one of them leaves the highest half hour as it was. */
    @Test
    void toLowerOneOfTwoEqualPeaksIsFelt() {
        for (int i = 0; i < 2; i++) {
            peak.add(10_000, 0, HOUR);
            peak.add(10_000, 12 * HOUR, 13 * HOUR);
        }
        double before = peak.watts();
        peak.add(-10_000, 12 * HOUR, 13 * HOUR);
        peak.add(10_000, 18 * HOUR, 19 * HOUR);
        assertThat(peak.watts()).isGreaterThan(18_000).isLessThan(before - 100);
    }

    /** The search puts on and takes off millions of times. */
    @Test
    void whatIsTakenOffAgainLeavesNothing() {
        Random chance = new Random(7);
        peak.add(9_000, 2 * HOUR, 9 * HOUR);
        double before = peak.watts();
        for (int i = 0; i < 100_000; i++) {
            double watts = 1_000 + chance.nextInt(30_000);
            long start = chance.nextInt((int) DAY);
            peak.add(watts, start, start + 8 * HOUR);
            peak.add(-watts, start, start + 8 * HOUR);
        }
        assertThat(peak.watts()).isCloseTo(before, within(1.0));
    }
}
