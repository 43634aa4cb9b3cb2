package org.ostendum.core.charger;

/** How a charger goes about it, and what becomes of a battery that is left on it. */
public enum ChargerKind {
    /** One current until somebody or a clock ends it. */
    CONSTANT_CURRENT,
    /** Current, then voltage, then a small current at the finish; stops by itself. */
    TAPER_WITH_FINISH,
    /** The current falls as the voltage rises, by its transformer alone. */
    FERRO_TAPER,
    /** Goes on keeping the battery full. */
    MAINTAINING,
    /** Stops by itself and may never start again. */
    AUTOMATIC_STOP,
    /** Ends when its clock runs out, full or not. */
    TIMER,
    /** Small constant current for aircraft batteries. */
    AVIATION
}
