package org.ostendum.core.statistics;

import java.util.Arrays;

/**
 * How a course of readings came down: all at once, to stay where it then was, or bit by bit from some time on. Both are fitted
 * by least squares; single readings far off are taken out before, by the median of three. Readings may be of several kinds, each
 * with a level of its own: in a step each kind comes down by as much as it does, in a bend all of them fall alike.
 *
 * @param drop of the first kind from before the step that fits best to after it, in the unit of the readings; negative for a rise, 0
 *     where too few of it lie on a side
 * @param stepped the last time before that step, counted from the first, in the unit of the times
 * @param bent the time from which on the bend that fits best goes down or up, counted likewise
 * @param favour how many times further readings lie from the best bend than from the best step: above 1 it came down in a step,
 *     below 1 bit by bit
 */
public record StepOrBend(double drop, double stepped, double bent, double favour) {
    /** Readings on either side of a step, and after the bend; fewer could be chance. */
    private static final int LEAST = 3;

    /** So little is left over where a fit is perfect that no ratio can be made of it. */
    private static final double NOTHING = 1e-9;

    private static final StepOrBend NEITHER = new StepOrBend(0, 0, 0, 1);

    /**
     * @param times in order, no two the same, each with its reading
     * @param kinds of the readings, from 0 on
     * @param before readings of all kinds that there must be before a step: of what came before it there must be no doubt
     * @return a shape that favours neither and fell by nothing where there are fewer than six
     */
    public static StepOrBend of(double[] times, double[] readings, int[] kinds, int before) {
        if (times.length != readings.length || times.length != kinds.length) {
            throw new IllegalArgumentException(
                    times.length + " times for " + readings.length + " readings of " + kinds.length + " kinds");
        }
        return times.length < 2 * LEAST ? NEITHER : new Fit(times, readings, kinds).shape(before);
    }

    private static final class Fit {
        private final double[] times;
        private final Kind[] kinds;

        Fit(double[] times, double[] readings, int[] kindOf) {
            this.times = Arrays.stream(times).map(time -> time - times[0]).toArray();
            this.kinds = new Kind[Arrays.stream(kindOf).max().orElse(0) + 1];
            Arrays.setAll(kinds, kind -> new Kind(kind, this.times, readings, kindOf));
        }

        StepOrBend shape(int before) {
            int last = times.length - LEAST;
            int step = Math.min(before, last);
            for (int k = step + 1; k <= last; k++) {
                step = leftByStep(k) < leftByStep(step) ? k : step;
            }
            int bend = 0;
            for (int k = 1; k <= last; k++) {
                bend = leftByBend(k) < leftByBend(bend) ? k : bend;
            }
            double favour = Math.sqrt((leftByBend(bend) + NOTHING) / (leftByStep(step) + NOTHING));
            return new StepOrBend(kinds[0].drop(step), times[step - 1], times[bend], favour);
        }

        /** @return squares left by one level of each kind before a reading and another from it on */
        private double leftByStep(int k) {
            double left = 0;
            for (Kind kind : kinds) {
                left += kind.leftByStep(k);
            }
            return Math.max(0, left);
        }

        /** @return squares left by one level of each kind up to a reading and a straight line from there, as steep for all */
        private double leftByBend(int k) {
            double xx = 0;
            double xv = 0;
            double vv = 0;
            for (Kind kind : kinds) {
                xx += kind.xx(k, times[k]);
                xv += kind.xv(k, times[k]);
                vv += kind.vv();
            }
            return Math.max(0, xx == 0 ? vv : vv - xv * xv / xx);
        }
    }

    /** Sums over all readings of one kind from one on, counted from its first, so that each fit costs the same few steps. */
    private static final class Kind {
        private final int[] n;
        private final double[] sumT;
        private final double[] sumTT;
        private final double[] sumV;
        private final double[] sumTV;
        private double squares;

        Kind(int kind, double[] times, double[] readings, int[] kinds) {
            int all = times.length;
            n = new int[all + 1];
            sumT = new double[all + 1];
            sumTT = new double[all + 1];
            sumV = new double[all + 1];
            sumTV = new double[all + 1];
            double[] own = own(kind, readings, kinds);
            int at = own.length;
            for (int i = all - 1; i >= 0; i--) {
                boolean isOwn = kinds[i] == kind;
                double v = isOwn ? middleOfThree(own, --at) - own[0] : 0;
                double t = isOwn ? times[i] : 0;
                n[i] = n[i + 1] + (isOwn ? 1 : 0);
                sumT[i] = sumT[i + 1] + t;
                sumTT[i] = sumTT[i + 1] + t * t;
                sumV[i] = sumV[i + 1] + v;
                sumTV[i] = sumTV[i + 1] + t * v;
                squares += v * v;
            }
        }

        private static double[] own(int kind, double[] readings, int[] kinds) {
            double[] own = new double[readings.length];
            int found = 0;
            for (int i = 0; i < readings.length; i++) {
                if (kinds[i] == kind) {
                    own[found++] = readings[i];
                }
            }
            return Arrays.copyOf(own, found);
        }

        private static double middleOfThree(double[] readings, int i) {
            return i == 0 || i == readings.length - 1
                    ? readings[i]
                    : Robust.median(new double[] {readings[i - 1], readings[i], readings[i + 1]});
        }

        double drop(int k) {
            int before = n[0] - n[k];
            return before < LEAST || n[k] < LEAST ? 0 : (sumV[0] - sumV[k]) / before - sumV[k] / n[k];
        }

        double leftByStep(int k) {
            return squares - partOf(sumV[0] - sumV[k], n[0] - n[k]) - partOf(sumV[k], n[k]);
        }

        private static double partOf(double sum, int n) {
            return n == 0 ? 0 : sum * sum / n;
        }

        /** Of the times since a bend, about their middle. */
        double xx(int k, double bend) {
            double x = sumT[k] - n[k] * bend;
            return sumTT[k] - 2 * bend * sumT[k] + n[k] * bend * bend - partOf(x, n[0]);
        }

        /** Of the times since a bend with the readings, about the middle of both. */
        double xv(int k, double bend) {
            double x = sumT[k] - n[k] * bend;
            return n[0] == 0 ? 0 : sumTV[k] - bend * sumV[k] - x * sumV[0] / n[0];
        }

        double vv() {
            return squares - partOf(sumV[0], n[0]);
        }
    }
}
