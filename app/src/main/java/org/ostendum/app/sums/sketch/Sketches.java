package org.ostendum.app.sums.sketch;

import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.Sketch;

/** Which sketch belongs to which sum. */
public final class Sketches {
    private static final Map<String, Function<Given, Sketch>> BY_SUM = Map.ofEntries(
            Map.entry("mixing", AcidSketches::mixing),
            Map.entry("adjusting", AcidSketches::adjusting),
            Map.entry("soda", AcidSketches::soda),
            Map.entry("freezing", AcidSketches::freezing),
            Map.entry("gas", RoomSketches::gas),
            Map.entry("water", RoomSketches::water),
            Map.entry("charge", RoomSketches::charge),
            Map.entry("pool", RoomSketches::pool),
            Map.entry("capacity", WorkSketches::capacity),
            Map.entry("run-time", WorkSketches::runTime),
            Map.entry("standing", WorkSketches::standing),
            Map.entry("beam", WorkSketches::beam),
            Map.entry("repair", WorkSketches::repair));

    private Sketches() {}

    /** @throws IllegalArgumentException for a sum without a sketch */
    public static Sketch of(String sum, Given given) {
        @Nullable Function<Given, Sketch> sketch = BY_SUM.get(sum);
        if (sketch == null) {
            throw new IllegalArgumentException("No sketch for " + sum);
        }
        return sketch.apply(given);
    }
}
