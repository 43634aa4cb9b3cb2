package org.ostendum.core.statistics;

import java.util.Arrays;

/** Statistics that one bad reading cannot move. */
public final class Robust {
    /** Makes the median absolute deviation estimate the standard deviation of normal noise. */
    private static final double MAD_TO_DEVIATION = 1.4826;

    private Robust() {}

    /**
     * @param values at least one
     * @return the middle value; of an even number the mean of the middle two
     */
    public static double median(double[] values) {
        if (values.length == 0) {
            throw new IllegalArgumentException("No median of nothing");
        }
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }

    /** Standard deviation by the median absolute deviation from the median. */
    public static double deviation(double[] values) {
        double median = median(values);
        return MAD_TO_DEVIATION
                * median(Arrays.stream(values).map(v -> Math.abs(v - median)).toArray());
    }
}
