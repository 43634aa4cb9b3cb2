package org.ostendum.app.state;

import java.time.Instant;

/**
 * What comparing a hydrometer with a second one has shown.
 *
 * @param since of rounds taken from then on
 * @param points to be added to what was read with it: above 0 where it reads low, 0 where it reads right
 * @param note which one it is, and where; empty for nothing
 */
public record HydrometerComparison(Instant since, int points, String note) {
    public boolean isRight() {
        return points == 0;
    }
}
