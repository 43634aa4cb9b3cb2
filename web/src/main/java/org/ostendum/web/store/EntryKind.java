package org.ostendum.web.store;

import java.util.EnumSet;
import java.util.Set;

/** What a line of a battery's ledger tells. */
public enum EntryKind {
    ADDED,
    MOVED,
    ROUND,
    CORRECTION,
    CHARGE_START,
    CHARGE_END,
    DISCHARGE,
    WATER,
    EQUALISE_END,
    WASH,
    /** Ran flat and stood so, hours. */
    STANDING_FLAT,
    CELL_REPLACED,
    /** Highest temperature of a charge, °C. */
    TEMPERATURE_MAX,
    NOTE,
    /** A job run by a procedure that means nothing more for the history. */
    JOB,
    VOLTAGE;

    /** Kinds a person may write down by hand on the battery's page. */
    public static final Set<EntryKind> BY_HAND = EnumSet.of(
            CHARGE_START,
            CHARGE_END,
            DISCHARGE,
            WATER,
            EQUALISE_END,
            WASH,
            TEMPERATURE_MAX,
            STANDING_FLAT,
            CELL_REPLACED,
            NOTE);
}
