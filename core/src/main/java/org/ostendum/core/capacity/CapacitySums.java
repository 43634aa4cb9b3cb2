package org.ostendum.core.capacity;

import java.time.Duration;
import java.util.List;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.core.quantity.Volts;

/** Capacity tests and run times. Sources: IEC 60254-1 (traction), IEC 60896-11 and IEEE 450 (stationary), FAA AC 43.13-1B (aircraft). */
public final class CapacitySums {
    private static final double PER_KELVIN_HOURS_LONG = 0.006;
    private static final double PER_KELVIN_SHORT = 0.010;
    private static final Celsius MOTIVE_REFERENCE = Celsius.of(30);
    private static final Celsius OTHER_REFERENCE = Celsius.of(25);

    private CapacitySums() {}

    /** @return the voltage at which one cell's test ends */
    public static Volts cutOff(Duty duty) {
        return Volts.of(duty == Duty.MOTIVE ? 1.70 : 1.75);
    }

    /**
     * C = C_T ÷ (1 + λ (T − T_ref)); λ is 0.006 for each kelvin in tests of an hour and more, 0.010 in shorter ones.
     *
     * @param measured current times time to the cut-off
     * @param lasted how long the test took
     * @param electrolyte mean temperature at its start, 10 to 40 °C
     */
    public static AmpHours corrected(AmpHours measured, Duration lasted, Celsius electrolyte, Duty duty) {
        OutOfRange.check("temperature", electrolyte.degrees(), 10, 40);
        double factor =
                1 + lambda(lasted) * (electrolyte.degrees() - reference(duty).degrees());
        return AmpHours.of(measured.ampHours() / factor);
    }

    /** @return part of the capacity for each kelvin */
    static double lambda(Duration lasted) {
        return lasted.compareTo(Duration.ofHours(1)) < 0 ? PER_KELVIN_SHORT : PER_KELVIN_HOURS_LONG;
    }

    static Celsius reference(Duty duty) {
        return duty == Duty.MOTIVE ? MOTIVE_REFERENCE : OTHER_REFERENCE;
    }

    /** One stretch of work at a current. */
    public record Load(Amperes current, Duration lasts) {}

    /**
     * How long a battery lasts at a current, by Peukert: t = H (C ÷ (I H))^k. Holds for a sound battery near 25 °C from a fifth of
     * the rated current to the one that empties it in an hour, or three times the rated one; outside it is refused.
     *
     * @param rateHours H, at which the capacity is stated
     * @param exponent k, 1.05 to 1.40; 1.20 for flooded traction cells as a rule of thumb
     */
    public static Duration runTime(AmpHours capacity, double rateHours, double exponent, Amperes current) {
        OutOfRange.check("exponent", exponent, 1.05, 1.40);
        double rated = capacity.ampHours() / rateHours;
        OutOfRange.check(
                "current",
                current.amperes(),
                rated / 5,
                mostCurrent(capacity, rateHours, exponent).amperes());
        return hours(rateHours * Math.pow(rated / current.amperes(), exponent));
    }

    /** The largest current for which a run time can be said. */
    public static Amperes mostCurrent(AmpHours capacity, double rateHours, double exponent) {
        double rated = capacity.ampHours() / rateHours;
        return new Amperes(rated * Math.max(3, Math.pow(rateHours, 1 / exponent)));
    }

    /**
     * Part of the capacity that a course of loads takes, each by its own run time.
     *
     * @return 1 for all of it, more for more than there is
     */
    public static double taken(AmpHours capacity, double rateHours, double exponent, List<Load> loads) {
        return loads.stream()
                .mapToDouble(load -> (double) load.lasts().toMillis()
                        / runTime(capacity, rateHours, exponent, load.current()).toMillis())
                .sum();
    }

    private static Duration hours(double hours) {
        return Duration.ofMillis(Math.round(hours * 3_600_000));
    }
}
