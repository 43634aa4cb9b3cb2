package org.ostendum.core.safety;

/** What a person must be trained in, by the job. Source: {@code safety.who}; 29 CFR 1910.178(l). */
public enum Training {
    BATTERY_CARE,
    CHANGING,
    /** Hot lead work. */
    CELL_REPAIR,
    /** Licensed work. */
    AIRCRAFT,
    SPILL_LEADER,
    /** Drawing, adding and mixing acid. */
    ACID_WORK
}
