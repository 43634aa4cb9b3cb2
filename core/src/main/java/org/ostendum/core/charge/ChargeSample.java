package org.ostendum.core.charge;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;

/**
 * One moment of a charge.
 *
 * @param volts of the whole battery
 * @param amperes into it
 * @param celsius of its electrolyte; null where nothing measures it
 */
public record ChargeSample(Instant at, Volts volts, Amperes amperes, @Nullable Celsius celsius) {
    private static final double LEAST_PER_CELL = 1.0;
    private static final double MOST_PER_CELL = 3.2;
    private static final double MOST_RATE = 1.0;

    /**
     * @param cells of the battery
     * @param capacity of it, Ah
     * @return whether such figures can be: what cannot is a fault of the meter or the line, not of the battery
     */
    public boolean isPossible(int cells, double capacity) {
        double perCell = volts.volts() / cells;
        return perCell >= LEAST_PER_CELL && perCell <= MOST_PER_CELL && amperes.amperes() <= MOST_RATE * capacity;
    }
}
