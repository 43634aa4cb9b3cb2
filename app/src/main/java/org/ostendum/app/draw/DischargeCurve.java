package org.ostendum.app.draw;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A discharge test, ready to be put into SVG: volts for each cell over the hours under load.
 *
 * @param battery its line, as a mean of the cells
 * @param leads a path with the line of every cell or block
 * @param worst the line of the lead that falls first; empty for none read
 * @param cutOff where the limit lies
 * @param ends where the end is expected; null with too few readings, and when it is over
 */
public record DischargeCurve(
        double width,
        double height,
        Box plot,
        String battery,
        String leads,
        String worst,
        double cutOff,
        @Nullable Ends ends,
        List<Tick> volts,
        List<Tick> hours) {
    /** From the earliest to the latest that is likely. */
    public record Ends(double early, double likely, double late) {}

    /** A mark on an axis. */
    public record Tick(double at, String label) {}

    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }
}
