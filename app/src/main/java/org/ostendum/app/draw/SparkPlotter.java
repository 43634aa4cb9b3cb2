package org.ostendum.app.draw;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.quantity.CorrectedGravity;

/** Plots a battery's course so small that a whole fleet of them can be looked down. */
public final class SparkPlotter {
    private static final double WIDTH = 132;
    private static final double HEIGHT = 36;
    private static final double EDGE = 4;
    /** The same for every battery, so that heights can be compared: tenths under the lower edge of the full window. */
    private static final int DOWN_TO = 600;

    private static final int UP_TO = 40;

    private final GravityMarks marks;
    private final Instant from;
    private final Duration span;

    private SparkPlotter(BatteryCourse course, GravityMarks marks) {
        this.marks = marks;
        this.from = course.marks().get(0).takenAt();
        Duration all = Duration.between(
                from, course.marks().get(course.marks().size() - 1).takenAt());
        this.span = all.compareTo(Duration.ofDays(1)) < 0 ? Duration.ofDays(1) : all;
    }

    /** @return null where the battery has no two rounds to draw a line between */
    public static @Nullable Spark plot(BatteryCourse course, GravityMarks marks) {
        return course.marks().size() < 2 ? null : new SparkPlotter(course, marks).spark(course);
    }

    private Spark spark(BatteryCourse course) {
        double top = y(marks.fullTo());
        Box band = new Box(0, top, WIDTH, y(marks.fullFrom()) - top);
        List<Point> median = points(course, BatteryCourse.Mark::median);
        return new Spark(
                WIDTH,
                HEIGHT,
                band,
                Strokes.polyline(median),
                Strokes.polyline(points(course, BatteryCourse.Mark::lowest)),
                median.get(median.size() - 1));
    }

    private List<Point> points(BatteryCourse course, Function<BatteryCourse.Mark, CorrectedGravity> which) {
        return course.marks().stream()
                .map(mark -> new Point(x(mark.takenAt()), y(which.apply(mark))))
                .toList();
    }

    private double x(Instant at) {
        return EDGE
                + (WIDTH - 2 * EDGE) * Duration.between(from, at).toSeconds() / Math.max(1, (double) span.toSeconds());
    }

    private double y(CorrectedGravity gravity) {
        double highest = marks.fullTo().tenths() + UP_TO;
        double lowest = marks.fullFrom().tenths() - DOWN_TO;
        double part = (highest - gravity.tenths()) / (highest - lowest);
        return EDGE + (HEIGHT - 2 * EDGE) * Math.max(0, Math.min(1, part));
    }
}
