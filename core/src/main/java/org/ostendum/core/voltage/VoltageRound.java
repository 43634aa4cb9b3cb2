package org.ostendum.core.voltage;

import java.time.Instant;
import java.util.Map;
import org.ostendum.core.quantity.Volts;

/**
 * Voltages of one battery read together.
 *
 * @param load what they were read under
 * @param byPlace volts of each cell of a tray or block of a pack, by its number along the path
 */
public record VoltageRound(Instant takenAt, Load load, Map<Integer, Volts> byPlace) {
    public VoltageRound {
        byPlace = Map.copyOf(byPlace);
    }

    /** What the battery does meanwhile. */
    public enum Load {
        REST,
        LOAD
    }
}
