package org.ostendum.app.sums.sketch;

import java.util.Locale;
import java.util.StringJoiner;
import java.util.function.DoubleUnaryOperator;
import org.ostendum.app.draw.Sketch;

/** A field with two scales in a sketch. Levels and spots beyond its ends are drawn at its edge. */
final class Plot {
    private static final double LEFT = 10;
    private static final double RIGHT = 540;
    private static final double TOP = 12;
    private static final double BOTTOM = 232;
    private static final int STEPS = 90;

    private final Sketch sketch;
    private final double fromX;
    private final double toX;
    private final double fromY;
    private final double toY;

    /** @param fromY at the foot */
    Plot(Sketch sketch, double fromX, double toX, double fromY, double toY) {
        this.sketch = sketch;
        this.fromX = fromX;
        this.toX = toX;
        this.fromY = fromY;
        this.toY = toY;
        sketch.rect("plot", LEFT, TOP, RIGHT - LEFT, BOTTOM - TOP);
    }

    double x(double value) {
        return LEFT + (RIGHT - LEFT) * share(value, fromX, toX);
    }

    double y(double value) {
        return BOTTOM - (BOTTOM - TOP) * share(value, fromY, toY);
    }

    private static double share(double value, double from, double to) {
        return Math.max(0, Math.min(1, (value - from) / (to - from)));
    }

    /** Words at both ends of the lower scale. */
    Plot scale(String from, String to) {
        sketch.word("start", LEFT, BOTTOM + 20, from).word("end", RIGHT, BOTTOM + 20, to);
        return this;
    }

    /** A level across the field, with its word at the right. */
    Plot level(String look, double at, String word) {
        sketch.line(look, LEFT, y(at), RIGHT, y(at)).word("start", RIGHT + 8, y(at) + 5, word);
        return this;
    }

    /** What leaves the field at the top ends there: a course along its edge would say that it stays. */
    Plot course(DoubleUnaryOperator value) {
        StringJoiner points = new StringJoiner(" ");
        boolean left = false;
        for (int i = 0; i <= STEPS && !left; i++) {
            double at = fromX + (toX - fromX) * i / STEPS;
            left = value.applyAsDouble(at) > toY;
            points.add(String.format(Locale.ROOT, "%.1f,%.1f", x(at), y(value.applyAsDouble(at))));
        }
        sketch.course("course course-ACT", points.toString());
        return this;
    }

    /** The values' own place, with its word beside it. */
    Plot spot(double atX, double atY, String word) {
        boolean late = x(atX) > (LEFT + RIGHT) / 2;
        double up = y(atY) < TOP + 30 ? 26 : -14;
        sketch.circle("spot", x(atX), y(atY), 8);
        sketch.word(late ? "end" : "start", x(atX) + (late ? -6 : 6), y(atY) + up, word);
        return this;
    }
}
