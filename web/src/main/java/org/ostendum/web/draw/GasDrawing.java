package org.ostendum.web.draw;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The hydrogen of a room over the hours to come, one layer on another.
 *
 * @param layers the undermost first
 * @param levels lines across: the alarm and the stop
 */
public record GasDrawing(
        double width, double height, Box plot, List<Layer> layers, List<Level> levels, List<Hour> hours) {
    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }

    /** One battery's share, named where it is thickest; {@code label} null where it is too thin for its name. */
    public record Layer(String battery, int tone, String points, @Nullable Point label) {}

    public record Level(double y, String word) {}

    public record Hour(double x, String word) {}
}
