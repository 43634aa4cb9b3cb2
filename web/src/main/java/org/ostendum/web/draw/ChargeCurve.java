package org.ostendum.web.draw;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One charge over time: volts of a cell above, amperes and degrees beneath.
 *
 * @param volts the upper field
 * @param below the lower one
 * @param voltLine points of the volts of one cell; empty for none
 * @param finishX where it began to finish; null while it has not
 * @param earlier lines of earlier charges, drawn behind
 */
public record ChargeCurve(
        double width,
        double height,
        Box volts,
        Box below,
        String voltLine,
        String ampLine,
        String celsiusLine,
        List<Point> readings,
        @Nullable Double finishX,
        List<String> earlier,
        List<Tick> voltTicks,
        List<Tick> hours,
        String mostAmps,
        String mostCelsius) {
    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }

    /** A mark of a scale. */
    public record Tick(double at, String label) {}
}
