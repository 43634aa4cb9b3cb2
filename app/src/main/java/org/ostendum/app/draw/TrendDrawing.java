package org.ostendum.app.draw;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Gravity of every cell over time, ready to be put into SVG.
 *
 * @param band the full window of the model, null when it is off the scale
 * @param lines of all cells, those with something against them last, so that they lie on top
 */
public record TrendDrawing(
        double width,
        double height,
        Box plot,
        @Nullable Box band,
        List<Line> lines,
        List<Tick> gravityTicks,
        List<Tick> dateTicks) {

    /**
     * One cell's course.
     *
     * @param tone name of the severity of what is held against it, {@code NONE} for nothing
     * @param labelY where its name stands beside the line, null for none
     */
    public record Line(int cell, String points, String tone, @Nullable Double labelY) {}

    /** A mark on an axis. */
    public record Tick(double at, String label) {}

    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }
}
