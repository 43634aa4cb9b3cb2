package org.ostendum.web.draw;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** A place on a drawing, in its units, y downward. */
public record Point(double x, double y) {

    /** Held to tenths: nobody sees more, and longer figures only make pages slow. */
    public Point {
        x = Math.round(x * 10) / 10.0;
        y = Math.round(y * 10) / 10.0;
    }

    Point plus(double dx, double dy) {
        return new Point(x + dx, y + dy);
    }

    /** The {@code points} attribute of a polyline. */
    static String polyline(List<Point> points) {
        return points.stream()
                .map(p -> String.format(Locale.ROOT, "%.1f,%.1f", p.x(), p.y()))
                .collect(Collectors.joining(" "));
    }
}
