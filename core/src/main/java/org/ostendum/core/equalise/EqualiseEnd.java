package org.ostendum.core.equalise;

import java.util.List;
import org.ostendum.core.quantity.CorrectedGravity;

/** An equalising charge is done when the lowest cell has stopped rising: three hourly readings. Practice {@code equalise.how}. */
public final class EqualiseEnd {
    private static final int READINGS = 3;
    /** Tenths of a point a hydrometer cannot tell. */
    private static final int NO_RISE = 10;

    private EqualiseEnd() {}

    /** @param hourly corrected gravities of the lowest cell, oldest first */
    public static boolean isReached(List<CorrectedGravity> hourly) {
        if (hourly.size() < READINGS) {
            return false;
        }
        List<CorrectedGravity> last = hourly.subList(hourly.size() - READINGS, hourly.size());
        int first = last.get(0).tenths();
        return last.stream().allMatch(g -> g.tenths() - first <= NO_RISE);
    }
}
