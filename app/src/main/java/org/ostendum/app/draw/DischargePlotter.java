package org.ostendum.app.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.capacity.CutOffForecast;
import org.ostendum.core.capacity.TestCourse;
import org.ostendum.core.capacity.TestRow;

/** Plots the course of a discharge test. */
public final class DischargePlotter {
    private static final double WIDTH = 860;
    private static final double HEIGHT = 380;
    private static final double LEFT = 52;
    private static final double RIGHT = 12;
    private static final double TOP = 12;
    private static final double BOTTOM = 30;
    private static final double MOST_VOLTS = 2.15;
    /** So far below the cut-off the field ends. */
    private static final double BELOW = 0.15;

    private static final double[] STEPS = {1 / 12.0, 0.25, 0.5, 1, 2, 4};
    private static final int MOST_TICKS = 9;

    private final TestCourse course;
    private final Box plot = new Box(LEFT, TOP, WIDTH - LEFT - RIGHT, HEIGHT - TOP - BOTTOM);
    private final double hours;
    private final double least;

    private DischargePlotter(TestCourse course, CutOffForecast.@Nullable Ends ends) {
        this.course = course;
        double gone = course.last().map(TestRow::hours).orElse(0.0);
        double wanted = course.sheet().lasts().toSeconds() / 3600.0;
        this.hours = 1.05 * Math.max(Math.max(gone, wanted), ends == null ? 0 : ends.late());
        this.least = course.sheet().cutOffPerCell() - BELOW;
    }

    /** @param ends null where none is to be drawn */
    public static DischargeCurve plot(TestCourse course, CutOffForecast.@Nullable Ends ends) {
        return new DischargePlotter(course, ends).curve(ends);
    }

    private DischargeCurve curve(CutOffForecast.@Nullable Ends ends) {
        List<List<Point>> leads = new ArrayList<>();
        for (int lead = 1; lead <= course.sheet().leads(); lead++) {
            List<Point> line = lead(lead);
            if (line.size() > 1) {
                leads.add(line);
            }
        }
        return new DischargeCurve(
                WIDTH,
                HEIGHT,
                plot,
                Strokes.polyline(course.rows().stream()
                        .map(row -> point(row, row.volts() / course.sheet().cells()))
                        .toList()),
                Strokes.path(leads),
                course.worstLead().map(lead -> Strokes.polyline(lead(lead))).orElse(""),
                y(course.sheet().cutOffPerCell()),
                ends == null ? null : new DischargeCurve.Ends(x(ends.early()), x(ends.likely()), x(ends.late())),
                volts(),
                ticks());
    }

    private List<Point> lead(int lead) {
        return course.rows().stream()
                .filter(row -> row.leads().size() >= lead)
                .map(row ->
                        point(row, row.leads().get(lead - 1) / course.sheet().cellsPerLead()))
                .toList();
    }

    private Point point(TestRow row, double volts) {
        return new Point(x(row.hours()), y(volts));
    }

    private double x(double at) {
        return plot.x() + plot.width() * Math.min(1, at / hours);
    }

    private double y(double volts) {
        double part = (Math.max(least, Math.min(MOST_VOLTS, volts)) - least) / (MOST_VOLTS - least);
        return plot.bottom() - plot.height() * part;
    }

    private List<DischargeCurve.Tick> volts() {
        List<DischargeCurve.Tick> ticks = new ArrayList<>();
        for (int tenth = (int) Math.ceil(least * 10); tenth <= MOST_VOLTS * 10; tenth++) {
            ticks.add(new DischargeCurve.Tick(y(tenth / 10.0), String.format(Locale.ROOT, "%.1f V", tenth / 10.0)));
        }
        return ticks;
    }

    private List<DischargeCurve.Tick> ticks() {
        double step = STEPS[STEPS.length - 1];
        for (double one : STEPS) {
            if (hours / one <= MOST_TICKS) {
                step = one;
                break;
            }
        }
        List<DischargeCurve.Tick> ticks = new ArrayList<>();
        for (int i = 1; i * step <= hours; i++) {
            String label =
                    step < 1 ? Math.round(i * step * 60) + " min" : String.format(Locale.ROOT, "%.0f h", i * step);
            ticks.add(new DischargeCurve.Tick(x(i * step), label));
        }
        return ticks;
    }
}
