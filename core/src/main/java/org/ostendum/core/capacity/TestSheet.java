package org.ostendum.core.capacity;

import java.time.Duration;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.OutOfRange;

/**
 * What a discharge test is made by.
 *
 * @param amperes constant current, 0.5 to 1000
 * @param lasts how long a sound battery gives it, 5 min to 30 h
 * @param cells in series, all of them
 * @param cellsPerLead 1 where each cell can be probed, those of a block where only its posts can
 * @param electrolyte before it began, 10 to 40 °C
 */
public record TestSheet(
        TestKind kind, Duty duty, Amperes amperes, Duration lasts, int cells, int cellsPerLead, Celsius electrolyte) {
    /** From 80 % of its rating a battery is serviceable; of the 30 minutes of an aircraft's these are 24. */
    public static final double PASSES_FROM = 0.8;

    /** Below its share of the cut-off by so much one cell in a lead is about to reverse. Source: IEEE 450, a cell at 1 V. */
    private static final double LEFT_BEHIND = 0.75;

    public TestSheet {
        OutOfRange.check("amperes", amperes.amperes(), 0.5, 1000);
        OutOfRange.check("minutes", lasts.toSeconds() / 60.0, 5, 1800);
        OutOfRange.check("cells", cells, 1, 200);
        OutOfRange.check("temperature", electrolyte.degrees(), 10, 40);
    }

    public int leads() {
        return cells / cellsPerLead;
    }

    /** @return volts of each cell at which the test is over */
    public double cutOffPerCell() {
        return CapacitySums.cutOff(duty).volts();
    }

    public double cutOff() {
        return cutOffPerCell() * cells;
    }

    /** @return volts across one lead at which the test is stopped, whatever the battery shows: a cell in it is about to reverse */
    public double leadLimit() {
        return cutOffPerCell() * cellsPerLead - LEFT_BEHIND;
    }

    /** @return how long a sound battery gives it */
    double hours() {
        return lasts.toSeconds() / 3600.0;
    }

    public AmpHours rated() {
        return AmpHours.of(amperes.amperes() * lasts.toSeconds() / 3600.0);
    }
}
