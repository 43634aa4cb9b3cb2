package org.ostendum.core.statistics;

/** The normal distribution. */
public final class Normal {
    private Normal() {}

    /**
     * By the rational approximation 7.1.26 of Abramowitz and Stegun, Handbook of Mathematical Functions; its error is below 1.5e-7.
     *
     * @param deviations from the mean
     * @return part of all values that lie above, 0 to 1
     */
    public static double above(double deviations) {
        double x = Math.abs(deviations) / Math.sqrt(2);
        double t = 1 / (1 + 0.3275911 * x);
        double series =
                t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
        double tail = 0.5 * series * Math.exp(-x * x);
        return deviations < 0 ? 1 - tail : tail;
    }
}
