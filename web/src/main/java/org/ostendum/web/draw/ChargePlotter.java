package org.ostendum.web.draw;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.ChargeSample;

/** Plots the course of a charge, with earlier ones of the same battery behind it. */
public final class ChargePlotter {
    private static final double LEFT = 10;
    private static final double RIGHT = 62;
    private static final double TOP = 10;
    private static final double BOTTOM = 26;
    private static final double GAP = 14;
    private static final double UPPER_PART = 0.62;
    private static final double LEAST_VOLTS = 1.9;
    private static final double MOST_VOLTS = 2.8;
    private static final double MOST_CELSIUS = 60;
    private static final int LEAST_HOURS = 8;

    private final int cells;
    private final double hours;
    private final double mostAmps;
    private final Box upper;
    private final Box lower;

    /** A charge to be drawn, from its start. */
    public record Course(Instant start, List<ChargeSample> samples) {}

    private ChargePlotter(int cells, double hours, double mostAmps, double width, double height) {
        this.cells = cells;
        this.hours = hours;
        this.mostAmps = mostAmps;
        double high = height - TOP - BOTTOM - GAP;
        this.upper = new Box(LEFT, TOP, width - LEFT - RIGHT, high * UPPER_PART);
        this.lower = new Box(LEFT, upper.bottom() + GAP, width - LEFT - RIGHT, high * (1 - UPPER_PART));
    }

    /**
     * @param finishFrom amperes at and below which it finishes
     * @param earlier the newest last
     */
    public static ChargeCurve plot(
            Course now, List<Course> earlier, int cells, double finishFrom, double width, double height) {
        double longest = Math.max(LEAST_HOURS, lasted(now) + 1);
        for (Course course : earlier) {
            longest = Math.max(longest, lasted(course));
        }
        double most = now.samples().stream()
                .mapToDouble(s -> s.amperes().amperes())
                .max()
                .orElse(1);
        ChargePlotter plotter = new ChargePlotter(cells, longest, Math.max(1, most * 1.1), width, height);
        return plotter.curve(now, earlier, finishFrom, width, height);
    }

    private static double lasted(Course course) {
        return course.samples().isEmpty()
                ? 0
                : hours(
                        course,
                        course.samples().get(course.samples().size() - 1).at());
    }

    private static double hours(Course course, Instant at) {
        return Duration.between(course.start(), at).toSeconds() / 3600.0;
    }

    private ChargeCurve curve(Course now, List<Course> earlier, double finishFrom, double width, double height) {
        List<Point> volts = points(now, this::voltsY);
        List<ChargeSample> warm =
                now.samples().stream().filter(s -> s.celsius() != null).toList();
        return new ChargeCurve(
                width,
                height,
                upper,
                lower,
                Strokes.polyline(volts),
                Strokes.polyline(points(now, s -> lowerY(s.amperes().amperes() / mostAmps))),
                Strokes.polyline(points(
                        new Course(now.start(), warm),
                        s -> lowerY(Objects.requireNonNull(s.celsius()).degrees() / MOST_CELSIUS))),
                volts,
                finishX(now, finishFrom),
                earlier.stream()
                        .filter(course -> course.samples().size() > 1)
                        .map(course -> Strokes.polyline(points(course, this::voltsY)))
                        .toList(),
                voltTicks(),
                hourTicks(),
                String.format(Locale.ROOT, "%.0f A", mostAmps),
                String.format(Locale.ROOT, "%.0f °C", MOST_CELSIUS));
    }

    private List<Point> points(Course course, ToDoubleFunction<ChargeSample> y) {
        return course.samples().stream()
                .map(s -> new Point(x(hours(course, s.at())), y.applyAsDouble(s)))
                .toList();
    }

    private double x(double hour) {
        return upper.x() + upper.width() * Math.max(0, Math.min(1, hour / hours));
    }

    private double voltsY(ChargeSample sample) {
        return voltsY(sample.volts().volts() / cells);
    }

    private double voltsY(double perCell) {
        double part = (perCell - LEAST_VOLTS) / (MOST_VOLTS - LEAST_VOLTS);
        return upper.bottom() - upper.height() * Math.max(0, Math.min(1, part));
    }

    private double lowerY(double part) {
        return lower.bottom() - lower.height() * Math.max(0, Math.min(1, part));
    }

    /** The first reading at the finish after which none lay above it. */
    private @Nullable Double finishX(Course course, double finishFrom) {
        @Nullable Double from = null;
        for (ChargeSample sample : course.samples()) {
            if (sample.amperes().amperes() > finishFrom) {
                from = null;
            } else if (from == null) {
                from = x(hours(course, sample.at()));
            }
        }
        return from;
    }

    private List<ChargeCurve.Tick> voltTicks() {
        List<ChargeCurve.Tick> ticks = new ArrayList<>();
        for (int tenths = 20; tenths <= 28; tenths += 2) {
            ticks.add(new ChargeCurve.Tick(voltsY(tenths / 10.0), String.format(Locale.ROOT, "%.2f V", tenths / 10.0)));
        }
        return ticks;
    }

    private List<ChargeCurve.Tick> hourTicks() {
        List<ChargeCurve.Tick> ticks = new ArrayList<>();
        for (int hour = 0; hour <= hours; hour += 2) {
            ticks.add(new ChargeCurve.Tick(x(hour), hour + " h"));
        }
        return ticks;
    }
}
