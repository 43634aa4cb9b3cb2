package org.ostendum.planner;

import java.util.Arrays;
import org.ostendum.core.plan.cost.ChargePower;
import org.ostendum.core.plan.cost.HalfHour;

/**
 * The highest power of all charges, as the search feels it: a high norm of all half hours instead of the highest one alone. Where several are
 * equally high the highest stays what it is when one of them is lowered, and the search would not know that it is on its way.
 */
final class Peak {
    /** Powers of numbers near one neither vanish nor grow beyond what a double tells apart. */
    private static final double UNIT = 10_000;

    private static final double NORM = 16;
    private static final int A_DAY = 48;

    private double[] watts;
    private double powers;

    Peak(long until) {
        watts = new double[HalfHour.of(until) + 1];
    }

    /** @param full watts of the charger; below zero to take the charge off again */
    void add(double full, long start, long end) {
        ChargePower.parts(start, end, (from, until, part) -> draw(full * part, from, until));
    }

    private void draw(double drawn, long from, long until) {
        int last = HalfHour.last(until);
        if (last >= watts.length) {
            watts = Arrays.copyOf(watts, last + A_DAY);
        }
        for (int half = Math.max(0, HalfHour.of(from)); half <= last; half++) {
            powers -= power(watts[half]);
            watts[half] += drawn * HalfHour.part(half, from, until);
            powers += power(watts[half]);
        }
    }

    /** To the sixteenth. */
    private static double power(double watts) {
        double two = watts / UNIT * (watts / UNIT);
        double four = two * two;
        double eight = four * four;
        return eight * eight;
    }

    /** @return watts, up to a fifth above the highest half hour where many are as high */
    double watts() {
        return UNIT * Math.pow(Math.max(0, powers), 1 / NORM);
    }
}
