package org.ostendum.app.draw;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The hydrogen of a room over the hours to come, one layer on another.
 *
 * @param layers the undermost first
 * @param levels lines across: the alarm and the stop, and what the scale tells where neither lies on it
 * @param brokenAt above it the scale is broken: lines there lie further off than drawn; null for none
 */
public record GasDrawing(
        double width,
        double height,
        Box plot,
        List<Layer> layers,
        List<Level> levels,
        @Nullable Double brokenAt,
        List<Hour> hours) {
    private static final double TOOTH = 12;

    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }

    /** @return a jagged line across where the scale is broken; empty for none */
    public String brokenLine() {
        if (brokenAt == null) {
            return "";
        }
        List<Point> teeth = new ArrayList<>();
        int count = (int) (plot.width() / TOOTH);
        for (int i = 0; i <= count; i++) {
            teeth.add(new Point(plot.x() + plot.width() * i / count, brokenAt + (i % 2 == 0 ? -1 : 1) * TOOTH / 4));
        }
        return Strokes.polyline(teeth);
    }

    /** One battery's share, named where it is thickest; {@code label} null where it is too thin for its name. */
    public record Layer(String battery, int tone, String points, @Nullable Point label) {}

    /** @param limit whether the room must not get there */
    public record Level(double y, String word, boolean limit) {}

    public record Hour(double x, String word) {}
}
