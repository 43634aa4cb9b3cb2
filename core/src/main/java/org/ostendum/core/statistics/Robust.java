package org.ostendum.core.statistics;

import java.util.Arrays;

/** Statistics that one bad reading cannot move. */
public final class Robust {
    /** Makes the median absolute deviation estimate the standard deviation of normal noise. */
    private static final double MAD_TO_DEVIATION = 1.4826;

    /** Beyond so many different values counting takes longer than sorting. */
    private static final int CLOSE = 2000;

    private Robust() {}

    /**
     * @param values at least one
     * @return the middle value; of an even number the mean of the middle two
     */
    public static double median(double[] values) {
        if (values.length == 0) {
            throw new IllegalArgumentException("No median of nothing");
        }
        if (values.length == 3) {
            return Math.max(Math.min(values[0], values[1]), Math.min(Math.max(values[0], values[1]), values[2]));
        }
        double[] parted = values.clone();
        int middle = parted.length / 2;
        double upper = select(parted, middle);
        return parted.length % 2 == 1 ? upper : (highest(parted, middle) + upper) / 2;
    }

    /**
     * Hoare's selection: finds one value without sorting the rest, which long pasts are asked for again and again.
     *
     * @param values left with none above the value before {@code rank}, none below it after
     */
    private static double select(double[] values, int rank) {
        int low = 0;
        int high = values.length - 1;
        while (low < high) {
            double pivot = values[(low + high) >>> 1];
            int left = low;
            int right = high;
            while (left <= right) {
                while (values[left] < pivot) {
                    left++;
                }
                while (values[right] > pivot) {
                    right--;
                }
                if (left <= right) {
                    double moved = values[left];
                    values[left++] = values[right];
                    values[right--] = moved;
                }
            }
            if (rank <= right) {
                high = right;
            } else if (rank >= left) {
                low = left;
            } else {
                break;
            }
        }
        return values[rank];
    }

    private static double highest(double[] values, int before) {
        double highest = values[0];
        for (int i = 1; i < before; i++) {
            highest = Math.max(highest, values[i]);
        }
        return highest;
    }

    /**
     * The same as {@link #deviation(double[])} of whole numbers, some times quicker where they lie close together.
     *
     * @param values at least one
     */
    public static double deviation(int[] values) {
        int lowest = Integer.MAX_VALUE;
        int highest = Integer.MIN_VALUE;
        for (int value : values) {
            lowest = Math.min(lowest, value);
            highest = Math.max(highest, value);
        }
        boolean close = values.length > 0 && (long) highest - lowest <= CLOSE;
        return close
                ? MAD_TO_DEVIATION * (Counted.of(values, lowest, highest).fourTimesDistance() / 4.0)
                : deviation(Arrays.stream(values).asDoubleStream().toArray());
    }

    /** Standard deviation by the median absolute deviation from the median. */
    public static double deviation(double[] values) {
        double median = median(values);
        double[] distances = values.clone();
        for (int i = 0; i < distances.length; i++) {
            distances[i] = Math.abs(distances[i] - median);
        }
        return MAD_TO_DEVIATION * median(distances);
    }
}
