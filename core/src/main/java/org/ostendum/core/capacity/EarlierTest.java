package org.ostendum.core.capacity;

import java.util.List;
import java.util.OptionalDouble;
import org.ostendum.core.capacity.CutOffForecast.Before;
import org.ostendum.core.capacity.CutOffForecast.Point;

/**
 * A test of the same battery before this one.
 *
 * @param rows in the order of time; none for one of which only the result is on record
 * @param part of the rating that it came to
 */
public record EarlierTest(TestSheet sheet, List<TestRow> rows, double part) {
    /** A year takes so much of the time on. */
    private static final double STILL_THERE = 0.95;

    private static final double SPREAD = 0.05;
    private static final double LEAST = 0.3;
    private static final double MOST = 1.3;

    /** Currents this close (part) and temperatures (K) make the same curve. */
    private static final double ALIKE = 0.05;

    private static final double ALIKE_KELVINS = 8;
    private static final int LEAST_ROWS = 5;

    public EarlierTest {
        rows = List.copyOf(rows);
    }

    /** @return what is likely of the battery in a test by this sheet, before anything is read of it */
    Before tells(TestSheet now) {
        return tells(now, new TestCourse(sheet, rows, null).points(), CutOffForecast.BATTERY_ERROR);
    }

    /** @param lead from 1; @return the same of its cells */
    Before tells(TestSheet now, int lead) {
        return tells(now, new TestCourse(sheet, rows, null).points(lead), CutOffForecast.LEAD_ERROR);
    }

    private Before tells(TestSheet now, List<Point> fell, double error) {
        double rated = now.hours();
        Before byPart = new Before(stillThere(part * rated, rated), rated, SPREAD, FallShape.USUAL);
        if (!isAlike(now) || fell.size() < LEAST_ROWS) {
            return byPart;
        }
        double end = sheet.cutOffPerCell();
        double whole = reached(fell, end)
                .orElseGet(() -> CutOffForecast.of(fell, end, error, byPart).likely());
        List<Point> before =
                fell.stream().filter(point -> point.hours() < whole).toList();
        return before.size() < 2
                ? byPart
                : new Before(
                        stillThere(whole, rated),
                        rated,
                        SPREAD,
                        CutOffForecast.shape(before, end, error, whole, rated));
    }

    private static double stillThere(double hours, double rated) {
        return rated * Math.max(LEAST, Math.min(MOST, hours * STILL_THERE / rated));
    }

    /** @return hours at which the voltage passed its end, between two readings; empty where the test was over before */
    private static OptionalDouble reached(List<Point> points, double end) {
        for (int i = 1; i < points.size(); i++) {
            Point above = points.get(i - 1);
            Point below = points.get(i);
            if (above.volts() > end && below.volts() <= end) {
                double part = (above.volts() - end) / (above.volts() - below.volts());
                return OptionalDouble.of(above.hours() + part * (below.hours() - above.hours()));
            }
        }
        return OptionalDouble.empty();
    }

    private boolean isAlike(TestSheet now) {
        return now.kind() == sheet.kind()
                && now.cells() == sheet.cells()
                && now.cellsPerLead() == sheet.cellsPerLead()
                && Math.abs(now.amperes().amperes() / sheet.amperes().amperes() - 1) <= ALIKE
                && Math.abs(now.electrolyte().degrees() - sheet.electrolyte().degrees()) <= ALIKE_KELVINS;
    }
}
