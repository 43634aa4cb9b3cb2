package org.ostendum.app.draw;

import java.util.List;

/** Writes the geometry attributes of SVG. A page has thousands of figures: the general formatter takes a sixth of its time. */
final class Strokes {
    private final StringBuilder text = new StringBuilder();

    /** The {@code points} of a polyline. */
    static String polyline(List<Point> points) {
        Strokes strokes = new Strokes();
        for (Point point : points) {
            strokes.point(strokes.text.isEmpty() ? "" : " ", point);
        }
        return strokes.toString();
    }

    /** The {@code d} of one path with many lines in it. */
    static String path(List<List<Point>> lines) {
        Strokes strokes = new Strokes();
        for (List<Point> line : lines) {
            strokes.point("M", line.get(0));
            line.subList(1, line.size()).forEach(point -> strokes.point("L", point));
        }
        return strokes.toString();
    }

    /** The {@code d} of one path with a circle about each point. */
    static String circles(List<Point> centres, double radius) {
        Strokes strokes = new Strokes();
        for (Point centre : centres) {
            strokes.point("M", centre.plus(-radius, 0));
            strokes.halfCircle(radius, 2 * radius);
            strokes.halfCircle(radius, -2 * radius);
        }
        return strokes.toString();
    }

    private void halfCircle(double radius, double across) {
        text.append('a');
        tenths(radius);
        text.append(' ');
        tenths(radius);
        text.append(" 0 1 0 ");
        tenths(across);
        text.append(" 0");
    }

    private void point(String before, Point point) {
        text.append(before);
        tenths(point.x());
        text.append(',');
        tenths(point.y());
    }

    private void tenths(double value) {
        long tenths = Math.round(value * 10);
        if (tenths < 0) {
            text.append('-');
        }
        text.append(Math.abs(tenths) / 10);
        if (tenths % 10 != 0) {
            text.append('.').append(Math.abs(tenths % 10));
        }
    }

    @Override
    public String toString() {
        return text.toString();
    }
}
