package org.ostendum.app.draw;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One charge over time: volts of a cell above, amperes and degrees beneath, ampere-hours and gas at the bottom.
 *
 * @param taken where all that was taken out is back, in the lowest field; null where nobody knows
 * @param absorptionX where the current began to fall; null while it has not
 * @param finishX where it began to finish; null while it has not
 * @param times where it stands and when it is likely to be full; null where it is over
 * @param earlier lines of earlier charges, drawn behind
 */
public record ChargeCurve(
        double width,
        double height,
        Fields fields,
        Lines lines,
        @Nullable Double taken,
        List<Point> readings,
        @Nullable Double absorptionX,
        @Nullable Double finishX,
        @Nullable Times times,
        List<String> earlier,
        Scales scales) {
    /** Where each is drawn, from above. */
    public record Fields(Box volts, Box below, Box bottom) {}

    /** Points of each line; empty for none. Volts are of one cell. */
    public record Lines(String volts, String amperes, String celsius, String ampHours, String gas) {}

    /** What stands at the edges; hours as the clock shows them. */
    public record Scales(
            List<Tick> volts,
            List<Tick> hours,
            List<Tick> amperes,
            List<Tick> celsius,
            List<Tick> ampHours,
            List<Tick> gas) {}

    /** Across all fields: now, and when it is full at the earliest, most likely and at the latest. */
    public record Times(double now, double early, double likely, double late) {}

    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }

    /** A mark of a scale. */
    public record Tick(double at, String label) {}
}
