package org.ostendum.core.statistics;

/**
 * How a course of readings came down: all at once, to stay where it then was, or bit by bit from some time on. Both are fitted
 * by least squares; single readings far off are taken out before, by the median of three.
 *
 * @param drop from before the step that fits best to after it, in the unit of the readings; negative for a rise
 * @param stepped the last time before that step, counted from the first, in the unit of the times
 * @param bent the time from which on the bend that fits best goes down or up, counted likewise
 * @param favour how many times further readings lie from the best bend than from the best step: above 1 it came down in a step,
 *     below 1 bit by bit
 */
public record FallShape(double drop, double stepped, double bent, double favour) {
    /** Readings on either side of a step, and after the bend; fewer could be chance. */
    private static final int LEAST = 3;

    /** So little is left over where a fit is perfect that no ratio can be made of it. */
    private static final double NOTHING = 1e-9;

    /**
     * @param times in order, no two the same, each with its reading
     * @return a shape that favours neither and fell by nothing where there are fewer than six
     */
    public static FallShape of(double[] times, double[] readings) {
        if (times.length != readings.length) {
            throw new IllegalArgumentException(times.length + " times for " + readings.length + " readings");
        }
        return times.length < 2 * LEAST ? new FallShape(0, 0, 0, 1) : new Fit(times, readings).shape();
    }

    /** Sums over all readings from one on, of times and readings counted from the first, so that each fit costs the same few steps. */
    private static final class Fit {
        private final int n;
        private final double[] t;
        private final double[] v;
        private final double[] sumT;
        private final double[] sumTT;
        private final double[] sumV;
        private final double[] sumTV;
        private double squares;

        Fit(double[] times, double[] readings) {
            n = times.length;
            t = new double[n];
            v = new double[n];
            sumT = new double[n + 1];
            sumTT = new double[n + 1];
            sumV = new double[n + 1];
            sumTV = new double[n + 1];
            for (int i = n - 1; i >= 0; i--) {
                t[i] = times[i] - times[0];
                v[i] = middleOfThree(readings, i) - readings[0];
                sumT[i] = sumT[i + 1] + t[i];
                sumTT[i] = sumTT[i + 1] + t[i] * t[i];
                sumV[i] = sumV[i + 1] + v[i];
                sumTV[i] = sumTV[i + 1] + t[i] * v[i];
                squares += v[i] * v[i];
            }
        }

        private static double middleOfThree(double[] readings, int i) {
            return i == 0 || i == readings.length - 1
                    ? readings[i]
                    : Robust.median(new double[] {readings[i - 1], readings[i], readings[i + 1]});
        }

        FallShape shape() {
            int step = LEAST;
            for (int k = LEAST + 1; k <= n - LEAST; k++) {
                step = leftByStep(k) < leftByStep(step) ? k : step;
            }
            int bend = 0;
            for (int k = 1; k <= n - LEAST; k++) {
                bend = leftByBend(k) < leftByBend(bend) ? k : bend;
            }
            double before = (sumV[0] - sumV[step]) / step;
            double after = sumV[step] / (n - step);
            double favour = Math.sqrt((leftByBend(bend) + NOTHING) / (leftByStep(step) + NOTHING));
            return new FallShape(before - after, t[step - 1], t[bend], favour);
        }

        /** @return squares left by one level before a reading and another from it on */
        private double leftByStep(int k) {
            double before = sumV[0] - sumV[k];
            return Math.max(0, squares - before * before / k - sumV[k] * sumV[k] / (n - k));
        }

        /** @return squares left by one level up to a reading and a straight line from there */
        private double leftByBend(int k) {
            int after = n - k;
            double x = sumT[k] - after * t[k];
            double xx = sumTT[k] - 2 * t[k] * sumT[k] + after * t[k] * t[k];
            double xv = sumTV[k] - t[k] * sumV[k];
            double slope = (n * xv - x * sumV[0]) / (n * xx - x * x);
            double level = (sumV[0] - slope * x) / n;
            return Math.max(0, squares - level * sumV[0] - slope * xv);
        }
    }
}
