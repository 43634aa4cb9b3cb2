package org.ostendum.core.room;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.OutOfRange;

/**
 * What is known of a room's air.
 *
 * @param heightMetres of the ceiling, 2 to 40; null where nobody has said
 * @param cubicMetres all of it, 1 to 1000000, for rooms that are no box; null for floor by height
 * @param fanCubicMetresPerHour what its fan moves, 0 to 1000000; null where nobody has said
 */
public record RoomAir(
        @Nullable Double heightMetres, @Nullable Double cubicMetres, @Nullable Double fanCubicMetresPerHour) {
    public static final RoomAir UNKNOWN = new RoomAir(null, null, null);
    public static final double LEAST_HEIGHT = 2;
    public static final double MOST_HEIGHT = 40;
    /** A usual ceiling, m (rule of thumb). */
    private static final double USUAL_HEIGHT = 4;

    /** @throws OutOfRange for what no room has */
    public RoomAir {
        if (heightMetres != null) {
            OutOfRange.check("height of a room", heightMetres, LEAST_HEIGHT, MOST_HEIGHT);
        }
        if (cubicMetres != null) {
            OutOfRange.check("volume of a room", cubicMetres, 1, 1_000_000);
        }
        if (fanCubicMetresPerHour != null) {
            OutOfRange.check("air of a fan", fanCubicMetresPerHour, 0, 1_000_000);
        }
    }

    /**
     * @param squareMetres of the floor
     * @return m³, under a usual ceiling of 4 m where nothing is known
     */
    public double over(double squareMetres) {
        return cubicMetres != null ? cubicMetres : squareMetres * (heightMetres == null ? USUAL_HEIGHT : heightMetres);
    }
}
