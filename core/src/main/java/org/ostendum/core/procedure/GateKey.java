package org.ostendum.core.procedure;

/** Every gate, with the practice it keeps. */
public enum GateKey {
    TRAINED("safety.who", false),
    /** It has not left the site: asked before every job on a battery. */
    NOT_RETIRED("history", false),
    STATION_READY("safety.station", true),
    FAN_ON("safety.ventilation", true),
    /** Of the changers that the room has, one at least. */
    CHANGER_READY("change.roller", true),
    UNDAMAGED("safety.damage", true),
    HAS_CAPS("measure.soc", false),
    /** Filled, its first charge over, and not gone. */
    COMMISSIONED("commission.initial-charge", false),
    NOT_HELD("change.choose", true),
    /** No open job has taken it in hand: nothing else is done with a battery that lies open. */
    NOT_IN_HAND("change.choose", true),
    NOT_CHARGING("charge.before", true),
    /** Posts, lugs, cables and plug bear the charging current. */
    SOUND_FOR_CHARGE("charge.before", true),
    /** And it is held down and fit for the road. */
    SOUND_FOR_WORK("inspect.daily", true),
    FULL_BEFORE_WATER("water.when", true),
    READINGS_FIRST("water.after-readings", true),
    NOT_OVER_MARK("water.level", true),
    MIXED_BEFORE_ROUND("measure.not-after-water", true),
    PLATES_COVERED("charge.before", true),
    NOT_HOT("charge.before", true),
    NOT_FROZEN("store.freeze", false),
    JUST_FULL("equalise.how", true),
    CHARGED("change.choose", true),
    COOLED("charge.cool", true),
    /** Off charge so long that its gas is gone: before a flame, an arc or a drill. */
    AIRED("cell.prepare", false),
    /** Its watering kit is off: plastic tube full of gas, above a flame. */
    KIT_OFF("cell.prepare", false),
    NO_STOP_FINDING("change.choose", true),
    /** Charged full again after a discharge test. */
    RECHARGED("test.capacity", true),
    /** Not put away: what has stood is looked after before it works. */
    NOT_STORED("store.before", true),
    /** A licensed mechanic has signed for the work on an aircraft's battery. */
    SIGNED("history", false),
    /** Every cell gives its volts. */
    ALL_CELLS("cell.jumper", true),
    RIGHT_VOLTAGE("change.choose", false),
    RIGHT_WEIGHT("change.choose", true),
    /** It goes into the bay, and does not slide about in it. */
    RIGHT_SIZE("change.choose", true),
    MACHINE_FREE("change.choose", false),
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
        return this == STATION_READY || this == FAN_ON || this == CHANGER_READY;
    }

    /** @return whether it is asked of the machine that a battery goes into */
    public boolean isOfMachine() {
        return this == RIGHT_VOLTAGE || this == RIGHT_WEIGHT || this == RIGHT_SIZE || this == MACHINE_FREE;
    }

    /** @return whether a lead may go through it with a reason; some never open by argument */
    public boolean mayBeOverridden() {
        return mayBeOverridden;
    }
}
