package org.ostendum.core.event;

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
    /** Serial and date code were read from a cell. */
    CELL_MARKED,
    CELL_BRIDGED,
    /** Blocks of a pack changed places. */
    BLOCKS_MOVED,
    /** A watering kit was fitted. */
    KIT_FITTED,
    KIT_LOOKED_AT,
    KIT_TAKEN_OFF,
    /** Highest temperature of a charge, °C. */
    TEMPERATURE_MAX,
    /** Electrolyte was drawn off down to the mark, ml. */
    DREW_OFF,
    /** The level of one cell, mm above the plates. */
    LEVEL,
    /** Temperature of the electrolyte at that moment, °C. */
    TEMPERATURE,
    ACID_ADJUSTED,
    CHARGER_CHECKED,
    DEFECT,
    DEFECT_RIGHTED,
    HELD,
    RELEASED,
    COMMISSIONED,
    STORED,
    RETIRED,
    /** A discharge test, Ah taken out. */
    CAPACITY,
    /** A licensed mechanic's name under everything up to here. */
    SIGNED,
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
            DREW_OFF,
            LEVEL,
            TEMPERATURE,
            EQUALISE_END,
            WASH,
            TEMPERATURE_MAX,
            STANDING_FLAT,
            CELL_REPLACED,
            ACID_ADJUSTED,
            HELD,
            RELEASED,
            STORED,
            COMMISSIONED,
            RETIRED,
            NOTE);

    /** Kinds that only a lead writes down. */
    public static final Set<EntryKind> BY_LEAD = EnumSet.of(RELEASED, COMMISSIONED, RETIRED);

    /** @return whether such a line is about one cell */
    public boolean needsCell() {
        return this == CELL_REPLACED || this == LEVEL;
    }

    /** @return whether such a line means nothing without its figure */
    public boolean needsQuantity() {
        return this == LEVEL || this == TEMPERATURE || this == TEMPERATURE_MAX;
    }

    /** @return whether a correction of such a line takes it back whole; a round is corrected cell by cell */
    public boolean canBeVoided() {
        return this != CORRECTION
                && this != ADDED
                && this != MOVED
                && this != JOB
                && this != SIGNED
                && this != DEFECT
                && this != DEFECT_RIGHTED;
    }
}
