package org.ostendum.core.gas;

import java.time.Duration;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CubicMetres;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.core.quantity.Volts;

/**
 * Hydrogen of overcharged cells and the air that carries it off. Sources: Faraday's law, 0.42 l of hydrogen (0 °C, 1013 hPa) for
 * each Ah and cell; IEC 62485-3, Q = 0.05 × n × I for 2 % with a fivefold margin.
 */
public final class Gassing {
    private static final double LITRES_PER_AH = 0.42;
    private static final double AIR_PER_AMPERE = 0.05;
    private static final double KELVIN_AT_ZERO = 273.15;
    private static final int MOST_CELLS = 5000;

    /** V a cell at 25 °C at which gas begins, and at which all of the current makes it (rule of thumb). */
    private static final double FIRST_GAS = 2.35;

    private static final double ALL_GAS = 2.60;
    private static final Celsius USUAL = Celsius.of(25);
    private static final double PER_KELVIN_AND_CELL = -0.004;

    private Gassing() {}

    /**
     * What a battery gives off while it charges, by its voltage.
     *
     * @param cells above zero
     * @param electrolyte as measured; null where nobody has, then 25 °C
     * @return hydrogen for each hour at 25 °C
     */
    public static CubicMetres ofCharge(int cells, Volts volts, Amperes amperes, @Nullable Celsius electrolyte) {
        OutOfRange.check("cells", cells, 1, MOST_CELLS);
        double part = part(volts.volts() / cells, electrolyte == null ? USUAL : electrolyte);
        return hydrogenPerHour(cells, new Amperes(part * amperes.amperes()), USUAL);
    }

    /**
     * @param perCell V of a cell on charge
     * @return part of the current that makes gas, 0 to 1
     */
    static double part(double perCell, Celsius electrolyte) {
        double at25 = perCell - PER_KELVIN_AND_CELL * (electrolyte.degrees() - 25);
        return Math.max(0, Math.min(1, (at25 - FIRST_GAS) / (ALL_GAS - FIRST_GAS)));
    }

    /** @return hydrogen for each hour at the room's temperature */
    public static CubicMetres hydrogenPerHour(int cells, Amperes gassing, Celsius room) {
        OutOfRange.check("cells", cells, 0, MOST_CELLS);
        double atZero = LITRES_PER_AH * cells * gassing.amperes() / 1000;
        return new CubicMetres(atZero * (KELVIN_AT_ZERO + room.degrees()) / KELVIN_AT_ZERO);
    }

    /** @return air for each hour that all of it wants */
    public static CubicMetres airPerHour(int cells, Amperes gassing) {
        OutOfRange.check("cells", cells, 0, MOST_CELLS);
        return new CubicMetres(AIR_PER_AMPERE * cells * gassing.amperes());
    }

    /**
     * Hydrogen in a well-mixed room: V dc/dt = q − Q c. Gas gathers under the ceiling first, so that the true time is shorter there.
     *
     * @param room volume
     * @param hydrogen for each hour
     * @param air exchanged for each hour, 0 with everything shut
     * @return fraction by volume after so long, 0 to 1
     */
    public static double fraction(CubicMetres room, CubicMetres hydrogen, CubicMetres air, Duration after) {
        OutOfRange.check("room", room.cubicMetres(), 1, CubicMetres.MOST);
        double hours = after.toMillis() / 3_600_000.0;
        if (air.cubicMetres() == 0) {
            return Math.min(1, hydrogen.cubicMetres() * hours / room.cubicMetres());
        }
        double steady = hydrogen.cubicMetres() / air.cubicMetres();
        return Math.min(1, steady * (1 - Math.exp(-air.cubicMetres() * hours / room.cubicMetres())));
    }

    /** @return how long until the room holds that fraction; empty when it never does */
    public static Optional<Duration> until(double fraction, CubicMetres room, CubicMetres hydrogen, CubicMetres air) {
        OutOfRange.check("fraction", fraction, 0, 1);
        OutOfRange.check("room", room.cubicMetres(), 1, CubicMetres.MOST);
        if (hydrogen.cubicMetres() == 0) {
            return Optional.empty();
        }
        if (air.cubicMetres() == 0) {
            return Optional.of(hours(fraction * room.cubicMetres() / hydrogen.cubicMetres()));
        }
        double steady = hydrogen.cubicMetres() / air.cubicMetres();
        return steady <= fraction
                ? Optional.empty()
                : Optional.of(hours(-Math.log(1 - fraction / steady) * room.cubicMetres() / air.cubicMetres()));
    }

    private static Duration hours(double hours) {
        return Duration.ofSeconds(Math.round(hours * 3600));
    }
}
