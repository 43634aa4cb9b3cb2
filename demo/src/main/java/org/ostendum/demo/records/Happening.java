package org.ostendum.demo.records;

import java.time.Instant;

/**
 * Something a simulated battery went through between rounds.
 *
 * @param quantity Ah for charge and discharge, ml for water, hours for an equalise
 */
public record Happening(Instant at, Kind kind, double quantity) {
    /** What it was. */
    public enum Kind {
        CHARGE_START,
        CHARGE_END,
        DISCHARGE,
        WATER,
        EQUALISE_END,
        WASH
    }
}
