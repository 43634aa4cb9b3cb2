package org.ostendum.app.draw;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One charge over time: volts of a cell above, amperes and degrees beneath, ampere-hours and gas at the bottom.
 *
 * @param volts the upper field
 * @param below the middle one
 * @param bottom the lowest one
 * @param taken where all that was taken out is back, in the lowest field; null where nobody knows
 * @param voltLine points of the volts of one cell; empty for none
 * @param absorptionX where the current began to fall; null while it has not
 * @param finishX where it began to finish; null while it has not
 * @param earlier lines of earlier charges, drawn behind
 */
public record ChargeCurve(
        double width,
        double height,
        Box volts,
        Box below,
        Box bottom,
        String voltLine,
        String ampLine,
        String celsiusLine,
        String ampHourLine,
        String gasLine,
        @Nullable Double taken,
        List<Point> readings,
        @Nullable Double absorptionX,
        @Nullable Double finishX,
        List<String> earlier,
        List<Tick> voltTicks,
        List<Tick> hours,
        String mostAmps,
        String mostCelsius,
        String mostAmpHours,
        String mostGas) {
    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }

    /** A mark of a scale. */
    public record Tick(double at, String label) {}
}
