package org.ostendum.core.measure;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened to a battery between rounds.
 *
 * @param quantity in the unit of its type; 0 where none is on record
 * @param cell it was done to, null for the whole battery
 */
public record BatteryEvent(Instant at, EventType type, double quantity, @Nullable Integer cell) {
    public static BatteryEvent of(Instant at, EventType type, double quantity) {
        return new BatteryEvent(at, type, quantity, null);
    }
}
