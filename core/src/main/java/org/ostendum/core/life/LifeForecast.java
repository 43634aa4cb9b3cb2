package org.ostendum.core.life;

import java.util.Arrays;
import java.util.List;
import org.ostendum.core.quantity.OutOfRange;

/**
 * When a battery will be replaced, with how sure that is. Batteries of one kind under the same use differ: by a factor that is about
 * lognormal (rule of thumb, a spread of 0.35). Capacity tests tell more of this one's factor, and so does that it still works. Bayes' rule
 * over a grid.
 *
 * @param ends moments of its end in years from now, all equally likely, earliest first
 */
public record LifeForecast(List<Double> ends) {
    private static final double SPREAD = 0.35;
    /** Of a capacity test, part of the rating. */
    private static final double ERROR = 0.03;
    /** A year is never quite like the other: part of what it takes. */
    private static final double UNEVEN = 0.15;

    private static final double NEW = 1.05;
    /** Below it a battery is replaced. */
    private static final double GONE = 0.80;

    /** Of a life: one that by its count should be gone has at least this. */
    private static final double LEAST_LEFT = 0.04;

    private static final int GRID = 240;
    private static final double REACH = 3.5;
    private static final int ENDS = 200;
    private static final double LONGEST = 30;

    public LifeForecast {
        ends = List.copyOf(ends);
    }

    /**
     * What a capacity test showed.
     *
     * @param years of service by then
     * @param part of the rating
     */
    public record Tested(double years, double part) {}

    /**
     * @param years of service so far, 0 to 40
     * @param partAYear of a life, by {@link Stress#partAYear}, so far
     * @param fromNow the same from now on
     */
    public static LifeForecast of(double years, double partAYear, double fromNow, List<Tested> tests) {
        OutOfRange.check("years", years, 0, 40);
        double[] factor = new double[GRID];
        double[] weight = new double[GRID];
        double best = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < GRID; i++) {
            double z = -REACH + 2 * REACH * i / (GRID - 1);
            factor[i] = Math.exp(SPREAD * z);
            weight[i] = -0.5 * z * z + told(factor[i] * partAYear, tests) + stillThere(factor[i] * partAYear * years);
            best = Math.max(best, weight[i]);
        }
        double sum = 0;
        for (int i = 0; i < GRID; i++) {
            weight[i] = Math.exp(weight[i] - best);
            sum += weight[i];
        }
        return new LifeForecast(ends(factor, weight, sum, years, partAYear, fromNow));
    }

    /**
     * One that comes new.
     *
     * @param partAYear of a life, by {@link Stress#partAYear}
     */
    public static LifeForecast ofNew(double partAYear) {
        return of(0, partAYear, partAYear, List.of());
    }

    /** Capacity falls evenly from new to gone over a life; tests of one battery err together with its uneven years. */
    private static double told(double partAYear, List<Tested> tests) {
        double sum = 0;
        for (Tested test : tests) {
            double worn = partAYear * test.years();
            double likely = NEW - (NEW - GONE) * worn;
            double error = Math.hypot(ERROR, (NEW - GONE) * worn * UNEVEN);
            double off = (test.part() - likely) / error;
            sum += -0.5 * off * off - Math.log(error);
        }
        return sum;
    }

    /** It works still: what would have worn it out long ago is not so. */
    private static double stillThere(double worn) {
        return worn <= 1 ? 0 : -0.5 * Math.pow((worn - 1) / UNEVEN, 2);
    }

    private static List<Double> ends(
            double[] factor, double[] weight, double sum, double years, double partAYear, double fromNow) {
        Double[] ends = new Double[ENDS];
        double passed = 0;
        int at = 0;
        for (int n = 0; n < ENDS; n++) {
            double upTo = (n + 0.5) / ENDS * sum;
            while (at < GRID - 1 && passed + weight[at] < upTo) {
                passed += weight[at];
                at++;
            }
            double left = Math.max(LEAST_LEFT, 1 - factor[at] * partAYear * years);
            double even = left / Math.max(1e-6, factor[at] * fromNow);
            // Its years to come are uneven too: spread along the ranks, so that early and late balance.
            double uneven = 1 + UNEVEN * Math.sin(n * 2.399963);
            ends[n] = Math.min(LONGEST, Math.max(1 / 24.0, even * uneven));
        }
        Arrays.sort(ends);
        return List.of(ends);
    }

    /** @param part 0 to 1; @return years from now before which it ends so often */
    public double quantile(double part) {
        int at = (int) Math.round(part * (ends.size() - 1));
        return ends.get(Math.max(0, Math.min(ends.size() - 1, at)));
    }

    public double likely() {
        return quantile(0.5);
    }

    /** @return how likely it ends between two moments, years from now */
    public double between(double from, double until) {
        return ends.stream().filter(end -> end >= from && end < until).count() / (double) ends.size();
    }
}
