package org.ostendum.planner;

import java.util.Arrays;

/** Something that is drawn or given off, in the mean of each half hour, and by how much it is over what is allowed. */
final class HalfHours {
    private static final long HALF = 1800;
    private static final double ROUNDING = 1;
    private static final int OVER = 10;

    private final double most;
    private final int toCount;
    private double[] sums;
    private long over;
    private double highest;
    private boolean highestKnown = true;

    /**
     * @param most that is allowed; infinite for no limit
     * @param toCount how much over it weighs one
     */
    HalfHours(double most, int toCount, long until) {
        this.most = most;
        this.toCount = toCount;
        this.sums = new double[(int) (until / HALF) + 1];
    }

    void add(double much, long from, long until) {
        int last = (int) ((until - 1) / HALF);
        if (last >= sums.length) {
            sums = Arrays.copyOf(sums, last + 48);
        }
        for (int half = (int) (from / HALF); half <= last; half++) {
            over -= overAt(half);
            double before = sums[half];
            sums[half] += much * part(half, from, until);
            over += overAt(half);
            reckonHighest(before, sums[half]);
        }
    }

    private void reckonHighest(double before, double now) {
        if (now >= highest) {
            highest = now;
        } else if (before >= highest - ROUNDING) {
            highestKnown = false;
        }
    }

    private static double part(int half, long from, long until) {
        long shared = Math.min(until, (half + 1) * HALF) - Math.max(from, half * HALF);
        return Math.max(0, shared) / (double) HALF;
    }

    private long overAt(int half) {
        double beyond = sums[half] - most - ROUNDING;
        return beyond > 0 ? OVER + (long) (beyond / toCount) : 0;
    }

    long over() {
        return over;
    }

    /** @return the sum of the half hour that has most */
    double highest() {
        if (!highestKnown) {
            highest = Arrays.stream(sums).max().orElse(0);
            highestKnown = true;
        }
        return highest;
    }
}
