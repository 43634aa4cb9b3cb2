package org.ostendum.core.procedure;

/** Every gate, with the practice it keeps. */
public enum GateKey {
    TRAINED("safety.who", false),
    STATION_READY("safety.station", true),
    FAN_ON("safety.ventilation", true),
    UNDAMAGED("safety.damage", true),
    HAS_CAPS("measure.soc", false),
    NOT_CHARGING("charge.before", true),
    FULL_BEFORE_WATER("water.when", true),
    MIXED_BEFORE_ROUND("measure.not-after-water", true),
    PLATES_COVERED("charge.before", true),
    NOT_HOT("charge.before", true),
    NOT_FROZEN("store.freeze", false),
    COOLED("charge.cool", true),
    NO_STOP_FINDING("change.choose", true),
    RIGHT_WEIGHT("change.choose", true),
    /** What must never be joined. */
    CHARGER_FITS("charge.match", false),
    /** What may be done, but not well. */
    CHARGER_SUITS("charge.match", true);

    private final String practice;
    private final boolean mayBeOverridden;

    GateKey(String practice, boolean mayBeOverridden) {
        this.practice = practice;
        this.mayBeOverridden = mayBeOverridden;
    }

    public String practice() {
        return practice;
    }

    /** @return whether the room alone answers it, so that it can be asked of a job on no battery */
    public boolean isOfRoom() {
        return this == STATION_READY || this == FAN_ON;
    }

    /** @return whether a lead may go through it with a reason; some never open by argument */
    public boolean mayBeOverridden() {
        return mayBeOverridden;
    }
}
