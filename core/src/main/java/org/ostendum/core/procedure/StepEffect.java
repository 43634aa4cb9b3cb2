package org.ostendum.core.procedure;

/** What settling a step means for the battery at once, before the job is over: it stands in the ledger from that moment. */
public enum StepEffect {
    /** Current flows from its charger. */
    CHARGE_BEGUN,
    /** The low current is off again, after the hours that the job has measured. */
    EQUALISE_ENDED,
    /** Its plates were just covered with as much as the step measured. */
    COVERED,
    /** It is in its machine, and the one that was there stands in its place. */
    EXCHANGED,
    /** The room's spill kit was opened: it is not ready until somebody has checked it again. */
    KIT_USED
}
