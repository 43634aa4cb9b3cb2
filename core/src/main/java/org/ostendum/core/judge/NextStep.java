package org.ostendum.core.judge;

/** The job a finding or a date asks for. */
public enum NextStep {
    COVER_PLATES,
    REPAIR_CELL,
    COOL,
    READ_AGAIN,
    READ_CHARGE_VOLTS,
    CHARGE,
    EQUALISE,
    LONG_CHARGE,
    CHECK_CHARGER,
    READ_AFTER_EQUALISE,
    WATER,
    DRAW_OFF,
    ADJUST_ACID,
    MOVE_TAP,
    TEST_CAPACITY,
    TAKE_ROUND,
    WASH,
    NONE
}
