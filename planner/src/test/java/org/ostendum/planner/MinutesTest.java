package org.ostendum.planner;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class MinutesTest {
    private static final long HOUR = 3600;
    private static final long DAY = 24 * HOUR;

    private final Minutes watts = new Minutes(10_000, 1000, DAY);

    @Test
    void whatIsWithinTheLimitIsNotOver() {
        watts.add(5_000, 0, 2 * HOUR);
        watts.add(5_000, HOUR, 3 * HOUR);
        assertThat(watts.over()).isZero();
    }

    /** What ends within a minute counts for all of it: ten seconds together are a minute over. */
    @Test
    void aMinuteThatIsTouchedCountsWhole() {
        watts.add(6_000, 0, HOUR + 10);
        watts.add(5_000, HOUR, 2 * HOUR);
        assertThat(watts.over()).isEqualTo(1 + 1);
    }

    @Test
    void theFurtherOverTheMore() {
        watts.add(11_000, 0, 60);
        long little = watts.over();
        watts.add(9_000, 0, 60);
        assertThat(watts.over()).isGreaterThan(little);
    }

    @Test
    void whatIsTakenOffLeavesNothing() {
        watts.add(25_000, 100, 5 * DAY);
        watts.add(-25_000, 100, 5 * DAY);
        assertThat(watts.over()).isZero();
    }
}
