package org.ostendum.core.charge;

import java.time.Duration;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.core.quantity.Volts;

/** Sums about a charge. Rules of thumb of the trade unless a source is named; the charger's and the battery's sheets come first. */
public final class ChargeSums {
    /** V per cell at 25 °C at which a charger holds. */
    private static final double ABSORPTION = 2.40;
    /** V for each kelvin and cell. Source: IEEE 450. */
    private static final double PER_KELVIN = -0.004;
    /** Part of what is missing that goes in before the voltage is reached. */
    public static final double BULK_PART = 0.8;
    /** A for each Ah of capacity at the end: 3 to 5 A per 100 Ah. */
    private static final double FINISH_RATE = 0.04;

    private static final double FINISH_TIMES = 1.75;

    private ChargeSums() {}

    /** @param electrolyte -20 to 55 °C */
    public static Volts absorption(int cells, Celsius electrolyte) {
        OutOfRange.check("temperature", electrolyte.degrees(), -20, 55);
        return Volts.of(cells * (ABSORPTION + PER_KELVIN * (electrolyte.degrees() - 25)));
    }

    /** @return current at which a flooded battery finishes */
    public static Amperes finish(AmpHours capacity) {
        return new Amperes(capacity.ampHours() * FINISH_RATE);
    }

    /** @return current at and below which a charge is at its finish; it is never held to the ampere */
    public static Amperes finishesFrom(AmpHours capacity) {
        return new Amperes(FINISH_TIMES * finish(capacity).amperes());
    }

    /** Ampere-hour law: no more amperes than ampere-hours still missing. */
    public static boolean isGentle(Amperes current, AmpHours missing) {
        return current.amperes() <= missing.ampHours();
    }

    /**
     * Time to full: four fifths of what is missing at the charger's current, the rest while it tapers to the finishing current.
     *
     * @param missing taken out since the last full charge
     * @param chargeReturn put in for each Ah taken out, 1.05 to 1.25
     * @param current of the charger, 2 to 50 A per 100 Ah
     */
    public static Duration time(AmpHours capacity, AmpHours missing, double chargeReturn, Amperes current) {
        OutOfRange.check("charge return", chargeReturn, 1.05, 1.25);
        double size = capacity.ampHours();
        OutOfRange.check("charging current", current.amperes(), size * 0.02, size * 0.5);
        OutOfRange.check("charge missing", missing.ampHours(), 0, size);
        double bulk = BULK_PART * missing.ampHours() / current.amperes();
        double rest = missing.ampHours() * (chargeReturn - BULK_PART);
        double end = Math.min(current.amperes(), finish(capacity).amperes());
        double mean = logarithmicMean(current.amperes(), end);
        return Duration.ofSeconds(Math.round((bulk + rest / mean) * 3600));
    }

    /** Mean of a current that falls by the same part in the same time. */
    private static double logarithmicMean(double from, double to) {
        return from - to < 1e-9 ? from : (from - to) / Math.log(from / to);
    }
}
