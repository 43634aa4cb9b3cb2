package org.ostendum.core.capacity;

import java.util.ArrayList;
import java.util.List;
import org.ostendum.core.quantity.OutOfRange;

/**
 * When a voltage that falls under a constant current will reach its end, from what has been read so far.
 *
 * <p>Over x, the part of the whole time gone, v = end + a (1 − x) + b (1 − x²) + c (1 − x) ÷ (1 − x + ε): the acid that is used up, the
 * resistance that grows, and the knee at the end (Shepherd's form). Acid goes as the charge does, so a grows with the whole time.
 * For each whole time of a grid a, b and c are met with their usual spread and the readings with their error; what is likely before
 * the test is what the battery gave last, or its rating.
 */
public final class CutOffForecast {
    private static final double KNEE = 0.01;
    /** V for each cell, the meter and what the curve leaves out: of the battery, and where one lead alone is read. */
    static final double BATTERY_ERROR = 0.0015;

    static final double LEAD_ERROR = 0.002;

    private static final int GRID = 400;
    private static final double SHORTEST = 0.15;
    private static final double LONGEST = 1.7;
    private static final int ROWS_TAKEN = 24;

    private CutOffForecast() {}

    /**
     * Hours under load from the beginning.
     *
     * @param early a tenth of what may be lies before it
     * @param late a tenth lies after it
     */
    public record Ends(double early, double likely, double late) {
        /** @return when the first of the two is likely to have come */
        Ends orSooner(Ends other) {
            return new Ends(Math.min(early, other.early), Math.min(likely, other.likely), Math.min(late, other.late));
        }
    }

    /**
     * What is taken to be likely before the first reading.
     *
     * @param hours the whole time, by the last test or the rating
     * @param rated whole time of a sound battery
     * @param spread part of it, 0.02 to 0.5
     * @param shape in which its voltage falls
     */
    record Before(double hours, double rated, double spread, FallShape shape) {
        Before {
            OutOfRange.check("hours", hours, 0.02, 60);
            OutOfRange.check("rated hours", rated, 0.02, 60);
            OutOfRange.check("spread", spread, 0.02, 0.5);
        }
    }

    /** A voltage for each cell and when it was read, hours. */
    record Point(double hours, double volts) {}

    /**
     * @param points in the order of time, two and more; none after the end
     * @param end volts for each cell at which it is over
     * @param error V, of a reading for each cell
     */
    static Ends of(List<Point> points, double end, double error, Before before) {
        List<Point> taken = thinned(points);
        double now = taken.get(taken.size() - 1).hours();
        double[] times = new double[GRID];
        double[] weights = new double[GRID];
        double best = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < GRID; i++) {
            times[i] = before.hours() * (SHORTEST + (LONGEST - SHORTEST) * i / (GRID - 1));
            weights[i] = times[i] <= now ? Double.NEGATIVE_INFINITY : logWeight(taken, end, error, times[i], before);
            best = Math.max(best, weights[i]);
        }
        if (best == Double.NEGATIVE_INFINITY) {
            return new Ends(now, now, now);
        }
        double sum = 0;
        for (int i = 0; i < GRID; i++) {
            weights[i] = Math.exp(weights[i] - best);
            sum += weights[i];
        }
        return new Ends(
                quantile(times, weights, 0.1 * sum),
                quantile(times, weights, 0.5 * sum),
                quantile(times, weights, 0.9 * sum));
    }

    /** Readings close together err together: a few over the whole time say as much as hundreds. */
    private static List<Point> thinned(List<Point> points) {
        if (points.size() < 2) {
            throw new IllegalArgumentException("A forecast wants two readings, there are " + points.size());
        }
        List<Point> taken = new ArrayList<>();
        int rows = Math.min(ROWS_TAKEN, points.size());
        for (int i = 0; i < rows; i++) {
            taken.add(points.get(Math.round(i * (points.size() - 1) / (float) (rows - 1))));
        }
        return taken;
    }

    /**
     * How a battery's voltage falls, by a test of it that went to its end.
     *
     * @param whole hours that it lasted
     * @param rated hours of a sound battery
     */
    static FallShape shape(List<Point> points, double end, double error, double whole, double rated) {
        return FallShape.learned(
                fit(thinned(points), end, error, whole, whole / rated, FallShape.USUAL), whole / rated);
    }

    private static Fit fit(List<Point> points, double end, double error, double whole, double part, FallShape shape) {
        Fit fit = shape.fit(part);
        for (Point point : points) {
            double left = Math.max(0, 1 - point.hours() / whole);
            double[] falls = {left, 1 - (1 - left) * (1 - left), left / (left + KNEE) * (1 + KNEE)};
            fit.add(falls, point.volts() - end, error);
        }
        return fit;
    }

    /** The evidence of the readings for a whole time, its falls met with their spread, and how likely it was before. */
    private static double logWeight(List<Point> points, double end, double error, double whole, Before before) {
        Fit fit = fit(points, end, error, whole, whole / before.rated(), before.shape());
        double off = (whole / before.hours() - 1) / before.spread();
        return fit.logEvidence() - 0.5 * off * off;
    }

    private static double quantile(double[] times, double[] weights, double upTo) {
        double sum = 0;
        for (int i = 0; i < times.length; i++) {
            sum += weights[i];
            if (sum >= upTo) {
                return times[i];
            }
        }
        return times[times.length - 1];
    }
}
