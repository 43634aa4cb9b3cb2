package org.ostendum.app.draw;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
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
    private static final double UPPER_PART = 0.5;
    private static final double MIDDLE_PART = 0.26;
    /** Part of the largest current below which it has begun to fall. */
    private static final double FALLING = 0.9;

    private static final double LEAST_VOLTS = 1.9;
    private static final double MOST_VOLTS = 2.8;
    private static final double MOST_CELSIUS = 60;
    private static final int LEAST_HOURS = 8;
    private static final double MOST_HOURS_TOLD = 11;
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);

    private final int cells;
    private final double hours;
    private final double mostAmps;
    private final Box upper;
    private final Box lower;
    private final Box bottom;

    /**
     * A charge under way: now, and when it is full at the earliest, most likely and at the latest.
     *
     * @param late not before {@code early}
     */
    public record Expected(Instant now, Instant early, Instant likely, Instant late) {}

    /** A charge to be drawn, from its start. */
    public record Course(Instant start, List<ChargeSample> samples) {}

    private ChargePlotter(int cells, double hours, double mostAmps, double width, double height) {
        this.cells = cells;
        this.hours = hours;
        this.mostAmps = mostAmps;
        double high = height - TOP - BOTTOM - 2 * GAP;
        double wide = width - LEFT - RIGHT;
        this.upper = new Box(LEFT, TOP, wide, high * UPPER_PART);
        this.lower = new Box(LEFT, upper.bottom() + GAP, wide, high * MIDDLE_PART);
        this.bottom = new Box(LEFT, lower.bottom() + GAP, wide, high * (1 - UPPER_PART - MIDDLE_PART));
    }

    /**
     * @param finishFrom amperes at and below which it finishes
     * @param earlier the newest last
     * @param taken Ah out before it; null where nobody knows
     * @param expected null where it is over
     */
    public static ChargeCurve plot(
            Course now,
            List<Course> earlier,
            int cells,
            double finishFrom,
            @Nullable Double taken,
            @Nullable Expected expected,
            ZoneId zone,
            double width,
            double height) {
        double longest = Math.max(LEAST_HOURS, lasted(now) + 1);
        for (Course course : earlier) {
            longest = Math.max(longest, lasted(course));
        }
        double most = now.samples().stream()
                .mapToDouble(s -> s.amperes().amperes())
                .max()
                .orElse(1);
        if (expected != null) {
            longest = Math.max(longest, hours(now, expected.late()) + 0.5);
        }
        ChargePlotter plotter = new ChargePlotter(cells, longest, Math.max(1, most * 1.1), width, height);
        return plotter.curve(now, earlier, finishFrom, taken, expected, zone, width, height);
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

    private ChargeCurve curve(
            Course now,
            List<Course> earlier,
            double finishFrom,
            @Nullable Double taken,
            @Nullable Expected expected,
            ZoneId zone,
            double width,
            double height) {
        Sums sums = Sums.of(now.samples(), cells);
        double mostAmpHours = 1.1 * Math.max(Math.max(1, sums.ampHours()), taken == null ? 0 : taken);
        double mostGas = Math.max(10, 1.1 * sums.mostLitres());
        List<Point> volts = points(now, this::voltsY);
        return new ChargeCurve(
                width,
                height,
                new ChargeCurve.Fields(upper, lower, bottom),
                lines(now, sums, volts, mostAmpHours, mostGas),
                taken == null ? null : (Double) bottomY(taken / mostAmpHours),
                volts,
                absorptionX(now),
                finishX(now, finishFrom),
                expected == null ? null : times(now, expected),
                earlier.stream()
                        .filter(course -> course.samples().size() > 1)
                        .map(course -> Strokes.polyline(points(course, this::voltsY)))
                        .toList(),
                new ChargeCurve.Scales(
                        voltTicks(),
                        hourTicks(now, zone),
                        ticks(lower, mostAmps, "A"),
                        ticks(lower, MOST_CELSIUS, "°C"),
                        ticks(bottom, mostAmpHours, "Ah"),
                        ticks(bottom, mostGas, "l/h")));
    }

    private ChargeCurve.Times times(Course course, Expected expected) {
        return new ChargeCurve.Times(
                x(hours(course, expected.now())),
                x(hours(course, expected.early())),
                x(hours(course, expected.likely())),
                x(hours(course, expected.late())));
    }

    /** Two or three round figures of a scale that ends at {@code most}. */
    private static List<ChargeCurve.Tick> ticks(Box field, double most, String unit) {
        double step = round(most / 2);
        List<ChargeCurve.Tick> ticks = new ArrayList<>();
        for (int i = 1; i * step <= most; i++) {
            ticks.add(new ChargeCurve.Tick(
                    field.bottom() - field.height() * i * step / most,
                    String.format(Locale.ROOT, "%.0f %s", i * step, unit)));
        }
        return ticks;
    }

    /** The largest of 1, 2, 5, 10, 20 … that is not larger. */
    private static double round(double value) {
        double ten = Math.pow(10, Math.floor(Math.log10(value)));
        double digit = value / ten;
        return ten * (digit >= 5 ? 5 : digit >= 2 ? 2 : 1);
    }

    private ChargeCurve.Lines lines(Course now, Sums sums, List<Point> volts, double mostAmpHours, double mostGas) {
        List<ChargeSample> warm =
                now.samples().stream().filter(s -> s.celsius() != null).toList();
        return new ChargeCurve.Lines(
                Strokes.polyline(volts),
                Strokes.polyline(points(now, s -> lowerY(s.amperes().amperes() / mostAmps))),
                Strokes.polyline(points(
                        new Course(now.start(), warm),
                        s -> lowerY(Objects.requireNonNull(s.celsius()).degrees() / MOST_CELSIUS))),
                Strokes.polyline(points(now, sums.ampHoursAt(), mostAmpHours)),
                Strokes.polyline(points(now, sums.litresAt(), mostGas)));
    }

    private List<Point> points(Course course, ToDoubleFunction<ChargeSample> y) {
        return course.samples().stream()
                .map(s -> new Point(x(hours(course, s.at())), y.applyAsDouble(s)))
                .toList();
    }

    private List<Point> points(Course course, List<Double> values, double most) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < values.size(); i++) {
            Instant at = course.samples().get(i).at();
            points.add(new Point(x(hours(course, at)), bottomY(values.get(i) / most)));
        }
        return points;
    }

    private double bottomY(double part) {
        return bottom.bottom() - bottom.height() * Math.max(0, Math.min(1, part));
    }

    /** The first reading below the full current after which none lay above it again. */
    private @Nullable Double absorptionX(Course course) {
        double most = course.samples().stream()
                .mapToDouble(s -> s.amperes().amperes())
                .max()
                .orElse(0);
        @Nullable Double from = null;
        for (ChargeSample sample : course.samples()) {
            if (sample.amperes().amperes() >= FALLING * most) {
                from = null;
            } else if (from == null) {
                from = x(hours(course, sample.at()));
            }
        }
        return from;
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

    /** Whole hours of the clock, so many that they can be read. */
    private List<ChargeCurve.Tick> hourTicks(Course course, ZoneId zone) {
        int apart = (int) Math.max(1, Math.ceil(hours / MOST_HOURS_TOLD));
        ZonedDateTime at =
                course.start().atZone(zone).truncatedTo(ChronoUnit.HOURS).plusHours(1);
        List<ChargeCurve.Tick> ticks = new ArrayList<>();
        while (hours(course, at.toInstant()) <= hours) {
            if (at.getHour() % apart == 0) {
                ticks.add(new ChargeCurve.Tick(x(hours(course, at.toInstant())), at.format(CLOCK)));
            }
            at = at.plusHours(1);
        }
        return ticks;
    }
}
