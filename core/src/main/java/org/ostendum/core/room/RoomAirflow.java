package org.ostendum.core.room;

import org.ostendum.core.gas.Gassing;
import org.ostendum.core.quantity.Amperes;

/** What moves the air of a room, and what its chargers give off into it. */
public final class RoomAirflow {
    /** A charger that finishes draws about a quarter of its plate's current (rule of thumb). */
    private static final double FINISH_OF_PLATE = 0.25;

    private RoomAirflow() {}

    /** @return what a charger draws at most while it finishes */
    public static Amperes finish(RoomPlan.Charger charger) {
        return new Amperes(FINISH_OF_PLATE * charger.amps());
    }

    /**
     * What its fan moves; where nobody has said, what all chargers of the room want when they finish at once.
     *
     * @return cubic metres an hour, 0 and up
     */
    public static double cubicMetresPerHour(RoomPlan room) {
        Double fan = room.air().fanCubicMetresPerHour();
        return fan != null
                ? fan
                : room.chargers()
                        .mapToDouble(charger -> Gassing.airPerHour(charger.cells(), finish(charger))
                                .cubicMetres())
                        .sum();
    }
}
