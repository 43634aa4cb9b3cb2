package org.ostendum.core.plan.room;

import org.ostendum.core.statistics.Normal;

/**
 * By what chance a charge takes longer than planned. The logarithm of its length is taken as normal; the planned length is the one that
 * {@link #PASSED} of all charges pass.
 */
public final class Lateness {
    /** So many of all charges take longer than planned. */
    public static final double PASSED = 0.05;

    /** Deviations of the normal distribution beyond which lie {@link #PASSED}. */
    public static final double PLANNED_AT = 1.644854;

    /** Where nobody knows how much a charge varies (rule of thumb). */
    public static final double USUAL_SPREAD = 0.08;

    /** Beyond it the chance is below one in ten thousand, and not worth reckoning. */
    private static final double FAR = 3.72;

    private Lateness() {}

    /**
     * @param length planned, seconds, above 0
     * @param spread standard deviation of the length's logarithm, 0 and up
     * @param spare seconds between the planned end and the need, 0 and up
     * @return 0 to {@link #PASSED}
     */
    public static double chance(long length, double spread, long spare) {
        if (spread == 0 || length <= 0) {
            return 0;
        }
        double deviations = PLANNED_AT + Math.log1p(Math.max(0, spare) / (double) length) / spread;
        return deviations > FAR ? 0 : Normal.above(deviations);
    }

    /**
     * @param deviations drawn from the normal distribution
     * @return of the planned length
     */
    public static double part(double spread, double deviations) {
        return Math.exp(spread * (deviations - PLANNED_AT));
    }
}
