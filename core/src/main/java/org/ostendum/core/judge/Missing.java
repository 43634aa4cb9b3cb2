package org.ostendum.core.judge;

/** What a question lacks, so that the screen can say what to measure next. */
public enum Missing {
    /** Sealed cells have no electrolyte to draw. */
    CAPS,
    GRAVITIES,
    /** Gravities that can be relied on. */
    RELIABLE_ROUND,
    FULL_CHARGE,
    /** More than half of the cells. */
    MORE_CELLS,
    /** More rounds, to tell a trend from scatter. */
    MORE_ROUNDS,
    LEVELS,
    COLOURS,
    ROUND_AFTER_EQUALISE,
    /** Waterings with their millilitres. */
    WATER_ON_RECORD,
    /** Ampere-hours of shifts and charges. */
    AMP_HOURS,
    /** Temperatures of rounds, or the highest of charges. */
    TEMPERATURES,
    /** Voltages of single cells at rest. */
    REST_VOLTAGES
}
