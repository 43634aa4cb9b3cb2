package org.ostendum.app.draw;

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
}
