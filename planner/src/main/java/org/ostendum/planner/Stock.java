package org.ostendum.planner;

import java.util.Map;
import org.ostendum.core.plan.room.Pairing;

/**
 * A battery as the search sees it. Times are seconds from the plan's beginning.
 *
 * @param readyAt when it may work, where it is full at the beginning
 * @param coolSeconds it rests after a charge
 * @param handicap cycles above the least of its pool
 * @param pairings the chargers it goes on
 */
record Stock(
        String code,
        boolean fixed,
        boolean full,
        long readyAt,
        long coolSeconds,
        int handicap,
        Map<String, Pairing> pairings) {
    @Override
    public boolean equals(Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return code.hashCode();
    }

    @Override
    public String toString() {
        return code;
    }
}
