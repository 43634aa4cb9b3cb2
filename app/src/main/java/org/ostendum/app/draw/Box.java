package org.ostendum.app.draw;

/** A rectangle on a drawing, its corner at the back left. */
public record Box(double x, double y, double width, double height) {

    /** Held to tenths: nobody sees more, and longer figures only make pages slow. */
    public Box {
        x = Math.round(x * 10) / 10.0;
        y = Math.round(y * 10) / 10.0;
        width = Math.round(width * 10) / 10.0;
        height = Math.round(height * 10) / 10.0;
    }

    public double right() {
        return x + width;
    }

    public double bottom() {
        return y + height;
    }

    public double middleX() {
        return x + width / 2;
    }

    public double middleY() {
        return y + height / 2;
    }

    Box inset(double by) {
        return new Box(x + by, y + by, width - 2 * by, height - 2 * by);
    }

    boolean contains(Point point) {
        return point.x() >= x && point.x() <= right() && point.y() >= y && point.y() <= bottom();
    }
}
