package org.ostendum.core.aircraft;

import org.ostendum.core.quantity.OutOfRange;

/**
 * Voltage of an aircraft's generator as its battery gets it. Rule of thumb: 2.30 to 2.42 V a cell, 13.8 to 14.5 V and 27.6 to 29 V; the
 * aircraft's maintenance manual comes first.
 *
 * @param volts with the engine running and the battery charged
 * @param cells of the battery, 6 to 24
 */
public record Regulator(double volts, int cells) {
    private static final double LEAST = 2.30;
    private static final double MOST = 2.42;

    public Regulator {
        OutOfRange.check("cells", cells, 6, 24);
        OutOfRange.check("volts", volts, 0, 3.0 * cells);
    }

    public enum Shown {
        /** The battery never gets full. */
        LOW,
        RIGHT,
        /** It boils the battery. */
        HIGH
    }

    public Shown shown() {
        double each = volts / cells;
        return each < LEAST ? Shown.LOW : each > MOST ? Shown.HIGH : Shown.RIGHT;
    }

    public double least() {
        return LEAST * cells;
    }

    public double most() {
        return MOST * cells;
    }
}
