package org.ostendum.core.procedure;

/** What settling a step means for the battery at once, before the job is over. */
public enum StepEffect {
    /** Current flows from its charger. */
    CURRENT_ON,
    /** It is off again. */
    CURRENT_OFF,
    /** A charge has begun: as CURRENT_ON, and it stands in the ledger. */
    CHARGE_BEGUN,
    /** Water was poured: as much as the step measured. */
    WATERED
}
