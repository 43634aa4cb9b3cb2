package org.ostendum.planner;

import java.util.Arrays;

/** Power and hydrogen of all charges, in the mean of each half hour: what the search keeps within the room's limits. */
final class Loads {
    private static final long HALF = 1800;
    private static final double ROUNDING = 1;
    private static final int WATTS_TO_COUNT = 100;
    private static final int MILLILITRES_TO_COUNT = 1000;
    private static final int OVER = 10;

    private final Pricing pricing;
    private double[] watts;
    private double[] millilitres;
    private long over;
    private double most;
    private boolean mostKnown = true;

    Loads(Pricing pricing) {
        this.pricing = pricing;
        this.watts = new double[(int) (pricing.until() / HALF) + 1];
        this.millilitres = new double[watts.length];
    }

    void add(WorkAndCharge work, int sign) {
        long start = work.chargeStart();
        long end = work.chargeEnd();
        long gas = Math.max(start, end - work.finishSeconds());
        int last = (int) ((end - 1) / HALF);
        if (last >= watts.length) {
            watts = Arrays.copyOf(watts, last + 48);
            millilitres = Arrays.copyOf(millilitres, last + 48);
        }
        for (int half = (int) (start / HALF); half <= last; half++) {
            over -= brokenAt(half);
            double before = watts[half];
            watts[half] += sign * 1000 * work.getOutlet().kw() * part(half, start, end);
            millilitres[half] += sign * 1000 * work.getOutlet().litresPerHour() * part(half, gas, end);
            over += brokenAt(half);
            reckonMost(before, watts[half]);
        }
    }

    private static double part(int half, long from, long until) {
        long shared = Math.min(until, (half + 1) * HALF) - Math.max(from, half * HALF);
        return Math.max(0, shared) / (double) HALF;
    }

    private void reckonMost(double before, double now) {
        if (now >= most) {
            most = now;
        } else if (before >= most - ROUNDING) {
            mostKnown = false;
        }
    }

    private long brokenAt(int half) {
        double dark = watts[half] - pricing.wattsMost() - ROUNDING;
        double gassy = millilitres[half] - pricing.millilitresMost() - ROUNDING;
        return (dark > 0 ? OVER + (long) (dark / WATTS_TO_COUNT) : 0)
                + (gassy > 0 ? OVER + (long) (gassy / MILLILITRES_TO_COUNT) : 0);
    }

    long over() {
        return over;
    }

    /** @return watts in the half hour that has most */
    double most() {
        if (!mostKnown) {
            most = 0;
            for (double drawn : watts) {
                most = Math.max(most, drawn);
            }
            mostKnown = true;
        }
        return most;
    }
}
