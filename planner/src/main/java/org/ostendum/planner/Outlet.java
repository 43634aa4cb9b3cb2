package org.ostendum.planner;

import java.util.List;

/**
 * A charger as the search sees it.
 *
 * @param index its place among all chargers
 * @param air which of the room's airs it gasses into, in their order; -1 for one that has no limit of its own
 * @param away stretches in which it cannot be used, seconds from the plan's beginning
 */
record Outlet(int index, String code, double kw, double litresPerHour, int air, List<long[]> away) {
    boolean isAway(long from, long until) {
        for (long[] gone : away) {
            if (from < gone[1] && gone[0] < until) {
                return true;
            }
        }
        return false;
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
