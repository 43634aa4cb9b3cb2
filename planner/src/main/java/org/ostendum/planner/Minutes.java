package org.ostendum.planner;

import java.util.Arrays;

/**
 * Something that is drawn or given off, minute by minute, and by how much it is over what is allowed. What touches a minute counts for
 * all of it, as it does where the plan is put together.
 */
final class Minutes {
    private static final int A_DAY = 1440;
    private static final double ROUNDING = 0.5;

    private final int most;
    private final int toCount;
    private int[] sums;
    private long over;

    /**
     * @param most that is allowed; infinite for no limit
     * @param toCount how much over it, for a minute, weighs as much as the minute itself
     */
    Minutes(double most, int toCount, long until) {
        this.most = (int) Math.min(Integer.MAX_VALUE, Math.floor(most + ROUNDING));
        this.toCount = toCount;
        this.sums = new int[(int) (until / 60) + A_DAY];
    }

    void add(int much, long from, long until) {
        if (most == Integer.MAX_VALUE) {
            return;
        }
        int last = (int) ((Math.max(1, until) - 1) / 60);
        if (last >= sums.length) {
            sums = Arrays.copyOf(sums, last + A_DAY);
        }
        for (int minute = (int) Math.max(0, from / 60); minute <= last; minute++) {
            over += weight(sums[minute] + much - most) - weight(sums[minute] - most);
            sums[minute] += much;
        }
    }

    private int weight(int beyond) {
        return beyond > 0 ? 1 + beyond / toCount : 0;
    }

    /** @return minutes over the limit, more of them the further they are over it */
    long over() {
        return over;
    }
}
