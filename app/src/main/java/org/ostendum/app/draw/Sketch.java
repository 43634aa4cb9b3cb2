package org.ostendum.app.draw;

import java.util.ArrayList;
import java.util.List;

/** A picture of shapes in a field of {@link #WIDTH} by {@link #HEIGHT}, drawn one over the other. */
public final class Sketch {
    public static final int WIDTH = 640;
    public static final int HEIGHT = 270;

    private final List<Shape> shapes = new ArrayList<>();

    public List<Shape> shapes() {
        return List.copyOf(shapes);
    }

    public Sketch line(String look, double x1, double y1, double x2, double y2) {
        return add(Shape.Kind.LINE, look, x1, y1, x2 - x1, y2 - y1, "");
    }

    public Sketch rect(String look, double x, double y, double width, double height) {
        return add(Shape.Kind.RECT, look, x, y, Math.max(0, width), Math.max(0, height), "");
    }

    public Sketch circle(String look, double x, double y, double radius) {
        return add(Shape.Kind.CIRCLE, look, x, y, radius, radius, "");
    }

    public Sketch course(String look, String points) {
        return add(Shape.Kind.COURSE, look, 0, 0, 0, 0, points);
    }

    /** @param hold start, middle or end */
    public Sketch word(String hold, double x, double y, String text) {
        return add(Shape.Kind.WORD, hold, x, y, 0, 0, text);
    }

    private Sketch add(Shape.Kind kind, String look, double x, double y, double width, double height, String text) {
        shapes.add(new Shape(kind, look, tenth(x), tenth(y), tenth(width), tenth(height), text));
        return this;
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
