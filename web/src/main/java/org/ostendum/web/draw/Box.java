package org.ostendum.web.draw;

/** A rectangle on a drawing, its corner at the back left. */
public record Box(double x, double y, double width, double height) {

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
