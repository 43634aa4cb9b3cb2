package org.ostendum.planner;

import java.util.BitSet;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.room.Pairing;

/**
 * A battery as the search sees it. Times are seconds from the plan's beginning.
 *
 * @param index its place among all batteries
 * @param readyAt when it may work, where it is full at the beginning
 * @param coolSeconds it rests after a charge
 * @param handicap cycles above the least of its pool
 * @param pairings how it charges on each charger, by {@link Outlet#index}; null where it does not go
 * @param reach the chargers it goes on, by {@link Outlet#index}
 */
record Stock(
        int index,
        String code,
        boolean fixed,
        boolean full,
        long readyAt,
        long coolSeconds,
        int handicap,
        List<@Nullable Pairing> pairings,
        BitSet reach) {
    /** @return null for a charger on which it does not go */
    @Nullable
    Pairing on(Outlet outlet) {
        return pairings.get(outlet.index());
    }

    @Override
    public boolean equals(Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return index;
    }

    @Override
    public String toString() {
        return code;
    }
}
