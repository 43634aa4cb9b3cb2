package org.ostendum.core.capacity;

import java.time.Duration;
import java.util.List;

/**
 * What was read in a running test.
 *
 * @param elapsed under load since it began
 * @param volts at the posts
 * @param amperes flowing
 * @param leads volts of each cell or block, first to last; none where only the posts were read
 */
public record TestRow(Duration elapsed, double volts, double amperes, List<Double> leads) {
    public TestRow {
        leads = List.copyOf(leads);
    }

    public double hours() {
        return elapsed.toMillis() / 3_600_000.0;
    }
}
