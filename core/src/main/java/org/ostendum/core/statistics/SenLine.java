package org.ostendum.core.statistics;

import java.util.Arrays;

/**
 * A straight line through points in time by the Theil–Sen estimator, with the rank test of Mann and Kendall.
 *
 * <p>Source: Sen, Estimates of the regression coefficient based on Kendall's tau, J. Am. Stat. Assoc. 63 (1968); breaks
 * down only when more than 29 % of the points are bad.
 *
 * @param slope per unit of x, the median of all pairwise slopes
 * @param slopeLow lower end of the 90 % interval of the slope
 * @param slopeHigh upper end of it
 * @param middleX the median of the x
 * @param middleY the median of y − slope (x − middleX)
 * @param trend Kendall's S divided by its standard deviation under no trend: below −1.64 falling with 95 % certainty
 */
public record SenLine(double slope, double slopeLow, double slopeHigh, double middleX, double middleY, double trend) {
    /** Two-sided 90 % of the normal distribution. */
    private static final double Z_90 = 1.645;

    /**
     * @param x ascending, no two equal
     * @param y one for each x; at least 4 points
     */
    public static SenLine through(double[] x, double[] y) {
        if (x.length < 4 || x.length != y.length) {
            throw new IllegalArgumentException("A line needs 4 points or more, got " + x.length + ", " + y.length);
        }
        double[] slopes = pairwiseSlopes(x, y);
        Arrays.sort(slopes);
        double spread = kendallDeviation(x.length);
        double reach = Z_90 * spread;
        int low = clamp((int) Math.floor((slopes.length - reach) / 2) - 1, slopes.length);
        int high = clamp((int) Math.ceil((slopes.length + reach) / 2), slopes.length);
        double slope = Robust.median(slopes);
        double middleX = Robust.median(x);
        double[] levelled = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            levelled[i] = y[i] - slope * (x[i] - middleX);
        }
        return new SenLine(
                slope, slopes[low], slopes[high], middleX, Robust.median(levelled), kendallS(slopes) / spread);
    }

    public double at(double x) {
        return middleY + slope * (x - middleX);
    }

    private static double[] pairwiseSlopes(double[] x, double[] y) {
        int n = x.length;
        double[] slopes = new double[n * (n - 1) / 2];
        int k = 0;
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                slopes[k++] = (y[j] - y[i]) / (x[j] - x[i]);
            }
        }
        return slopes;
    }

    /** S = number of rising pairs − number of falling pairs. */
    private static double kendallS(double[] slopes) {
        return Arrays.stream(slopes).map(Math::signum).sum();
    }

    /** σ(S) = √(n (n − 1) (2 n + 5) ÷ 18), without ties. */
    private static double kendallDeviation(int n) {
        return Math.sqrt(n * (n - 1.0) * (2 * n + 5.0) / 18.0);
    }

    private static int clamp(int index, int length) {
        return Math.max(0, Math.min(length - 1, index));
    }
}
