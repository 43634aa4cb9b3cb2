package org.ostendum.core.complaint;

/** What a driver says. */
public enum Complaint {
    SLOW,
    DOES_NOT_LAST,
    WILL_NOT_CHARGE,
    SMELLS,
    SLOW_ENGINE_START,
    DEAD_AFTER_WINTER,
    GETS_HOT
}
