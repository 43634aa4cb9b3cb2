package org.ostendum.standins;

import java.time.Duration;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.gas.Gassing;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;

/** The air of the room: hydrogen comes in with the gassing, and goes out with the fan or, slowly, through the cracks. */
final class RoomAir {
    private static final Celsius ROOM = Celsius.of(21);
    /** Of the room's volume each hour with the fan off. */
    private static final double CRACKS = 0.3;

    private final double volume;
    private final double fanAir;
    private double hydrogen;
    private boolean fanOn = true;

    /** @param volume m³; {@code fanAir} m³/h */
    RoomAir(double volume, double fanAir) {
        this.volume = volume;
        this.fanAir = fanAir;
    }

    void switchFan(boolean on) {
        fanOn = on;
    }

    /** @param gassed Ah of all cells turned into gas meanwhile */
    void pass(double gassed, Duration time) {
        double hours = time.toMillis() / 3_600_000.0;
        // One cell at one ampere for an hour: the gas of an ampere-hour.
        double perAh = Gassing.hydrogenPerHour(1, new Amperes(1), ROOM).cubicMetres();
        double air = fanOn ? fanAir : CRACKS * volume;
        hydrogen = hydrogen * Math.exp(-air * hours / volume) + gassed * perAh;
    }

    AirStatus status(int beat) {
        int millionths = (int) Math.round(hydrogen / volume * 1_000_000);
        return new AirStatus(beat, Math.min(40_000, millionths), fanOn, ROOM);
    }
}
