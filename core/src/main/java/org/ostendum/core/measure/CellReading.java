package org.ostendum.core.measure;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;

/**
 * What one round has on one cell.
 *
 * @param cell 1.. along the current path from the positive post
 * @param gravity as read; null when not read
 * @param tooLow the level was too low to draw a sample
 * @param confirmed the gravity was asked for again and given again
 * @param temperature of this cell's electrolyte; null when only the round's was taken
 * @param volts of this cell; null when not measured
 * @param onCharge whether {@code volts} were read on charge at the finish current
 * @param level null when not looked at
 * @param colour null when not remarked on
 */
public record CellReading(
        int cell,
        @Nullable SpecificGravity gravity,
        boolean tooLow,
        boolean confirmed,
        @Nullable Celsius temperature,
        @Nullable Volts volts,
        boolean onCharge,
        @Nullable Level level,
        @Nullable Colour colour) {

    public static CellReading gravity(int cell, int points) {
        return new CellReading(cell, SpecificGravity.ofPoints(points), false, false, null, null, false, null, null);
    }

    /** The same reading with another gravity. */
    public CellReading withGravity(SpecificGravity other) {
        return new CellReading(cell, other, tooLow, confirmed, temperature, volts, onCharge, level, colour);
    }

    /** The same reading under another number. */
    public CellReading ofCell(int number) {
        return new CellReading(number, gravity, tooLow, confirmed, temperature, volts, onCharge, level, colour);
    }

    /** @return whether the cell needs no further reading in this round */
    public boolean isRead() {
        return gravity != null || tooLow;
    }
}
