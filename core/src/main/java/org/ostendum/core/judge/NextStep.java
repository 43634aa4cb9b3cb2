package org.ostendum.core.judge;

/** The job a finding or a date asks for. */
public enum NextStep {
    COVER_PLATES,
    REPAIR_CELL,
    READ_AGAIN,
    CHARGE,
    EQUALISE,
    READ_AFTER_EQUALISE,
    WATER,
    DRAW_OFF,
    TEST_CAPACITY,
    TAKE_ROUND,
    WASH,
    NONE
}
