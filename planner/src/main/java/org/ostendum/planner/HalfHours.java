package org.ostendum.planner;

import java.util.Arrays;
import org.ostendum.core.plan.cost.HalfHour;

/** Something that is drawn or given off, in the mean of each half hour, and by how much it is over what is allowed. */
final class HalfHours {
    private static final double ROUNDING = 1;
    private static final int OVER = 10;

    private final double most;
    private final int toCount;
    private double[] sums;
    private long over;

    /**
     * @param most that is allowed; infinite for no limit
     * @param toCount how much over it weighs one
     */
    HalfHours(double most, int toCount, long until) {
        this.most = most;
        this.toCount = toCount;
        this.sums = new double[HalfHour.of(until) + 1];
    }

    void add(double much, long from, long until) {
        int last = HalfHour.last(until);
        if (last >= sums.length) {
            sums = Arrays.copyOf(sums, last + 48);
        }
        for (int half = Math.max(0, HalfHour.of(from)); half <= last; half++) {
            over -= overAt(half);
            sums[half] += much * HalfHour.part(half, from, until);
            over += overAt(half);
        }
    }

    private long overAt(int half) {
        double beyond = sums[half] - most - ROUNDING;
        return beyond > 0 ? OVER + (long) (beyond / toCount) : 0;
    }

    long over() {
        return over;
    }
}
