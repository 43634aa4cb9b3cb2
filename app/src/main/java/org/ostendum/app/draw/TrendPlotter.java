package org.ostendum.app.draw;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Severity;

/** Plots the corrected gravities of all cells over the rounds on record. */
public final class TrendPlotter {
    private static final double LEFT = 10;
    private static final double RIGHT = 66;
    private static final double TOP = 10;
    private static final double BOTTOM = 30;
    private static final double LABEL_GAP = 18;
    /** Ends of the scale lie at least so far beyond the readings, tenths of a point. */
    private static final int AIR = 60;

    private final List<DatedGravities> rounds;
    private final Box plot;
    private final Instant from;
    private final Duration span;
    private final int lowest;
    private final int highest;

    private TrendPlotter(List<DatedGravities> rounds, GravityMarks marks, double width, double height) {
        this.rounds = rounds;
        this.plot = new Box(LEFT, TOP, width - LEFT - RIGHT, height - TOP - BOTTOM);
        this.from = rounds.get(0).takenAt();
        Duration all = Duration.between(from, rounds.get(rounds.size() - 1).takenAt());
        this.span = all.compareTo(Duration.ofDays(1)) < 0 ? Duration.ofDays(1) : all;
        this.lowest = rounds.stream()
                        .mapToInt(r -> r.gravities().lowest().tenths())
                        .min()
                        .orElse(marks.empty().tenths())
                - AIR;
        this.highest = AIR
                + Math.max(
                        marks.fullTo().tenths(),
                        rounds.stream()
                                .mapToInt(r -> r.gravities().highest().tenths())
                                .max()
                                .orElse(0));
    }

    /**
     * @param rounds at least one, oldest first
     * @param held what is held against cells, by cell
     */
    public static TrendDrawing plot(
            List<DatedGravities> rounds,
            GravityMarks marks,
            Map<Integer, Severity> held,
            Words words,
            ZoneId zone,
            double width,
            double height) {
        TrendPlotter plotter = new TrendPlotter(rounds, marks, width, height);
        return new TrendDrawing(
                width,
                height,
                plotter.plot,
                plotter.band(marks),
                plotter.lines(held),
                plotter.gravityTicks(words),
                plotter.dateTicks(words, zone));
    }

    private @Nullable Box band(GravityMarks marks) {
        double top = Math.max(plot.y(), y(marks.fullTo().tenths()));
        double bottom = Math.min(plot.bottom(), y(marks.fullFrom().tenths()));
        return bottom > top ? new Box(plot.x(), top, plot.width(), bottom - top) : null;
    }

    private List<TrendDrawing.Line> lines(Map<Integer, Severity> held) {
        Map<Integer, List<Point>> courses = new TreeMap<>();
        for (DatedGravities round : rounds) {
            round.gravities().byCell().forEach((cell, gravity) -> courses.computeIfAbsent(cell, c -> new ArrayList<>())
                    .add(new Point(x(round.takenAt()), y(gravity.tenths()))));
        }
        Map<Integer, Double> labels = labels(courses, held);
        return courses.entrySet().stream()
                .map(e -> new TrendDrawing.Line(
                        e.getKey(),
                        Strokes.polyline(e.getValue()),
                        held.containsKey(e.getKey()) ? held.get(e.getKey()).name() : "NONE",
                        labels.get(e.getKey())))
                .sorted(Comparator.comparing(line -> !line.tone().equals("NONE")))
                .toList();
    }

    /** Names of the cells with something against them, at the ends of their lines, pushed apart where they would meet. */
    private Map<Integer, Double> labels(Map<Integer, List<Point>> courses, Map<Integer, Severity> held) {
        List<Integer> named = courses.keySet().stream()
                .filter(held::containsKey)
                .sorted(Comparator.comparing(cell -> end(courses.get(cell)).y()))
                .toList();
        Map<Integer, Double> labels = new TreeMap<>();
        double least = plot.y() + 6;
        for (int cell : named) {
            double y = Math.max(least, end(courses.get(cell)).y() - 9);
            labels.put(cell, y);
            least = y + LABEL_GAP;
        }
        return labels;
    }

    private static Point end(@Nullable List<Point> course) {
        if (course == null) {
            throw new IllegalArgumentException("A cell without a course");
        }
        return course.get(course.size() - 1);
    }

    private List<TrendDrawing.Tick> gravityTicks(Words words) {
        int step = highest - lowest > 1200 ? 400 : 200;
        List<TrendDrawing.Tick> ticks = new ArrayList<>();
        for (int tenths = (lowest / step + 1) * step; tenths < highest; tenths += step) {
            ticks.add(new TrendDrawing.Tick(y(tenths), words.gravity(new CorrectedGravity(tenths))));
        }
        return ticks;
    }

    private List<TrendDrawing.Tick> dateTicks(Words words, ZoneId zone) {
        List<TrendDrawing.Tick> ticks = new ArrayList<>();
        LocalDate first = LocalDate.ofInstant(from, zone);
        LocalDate last = LocalDate.ofInstant(from.plus(span), zone);
        long months = Math.max(1, span.toDays() / 30 / 6);
        for (LocalDate day = first.withDayOfMonth(1).plusMonths(1); !day.isAfter(last); day = day.plusMonths(months)) {
            ticks.add(new TrendDrawing.Tick(x(day.atStartOfDay(zone).toInstant()), words.month(day)));
        }
        return ticks;
    }

    private double x(Instant at) {
        return plot.x() + plot.width() * Duration.between(from, at).toMinutes() / span.toMinutes();
    }

    private double y(int tenths) {
        return plot.bottom() - plot.height() * (tenths - lowest) / (double) (highest - lowest);
    }
}
