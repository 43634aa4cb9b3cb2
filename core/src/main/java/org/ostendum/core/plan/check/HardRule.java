package org.ostendum.core.plan.check;

/** What no plan may break. */
public enum HardRule {
    /** Every job names what the room has, and lies within the time that is planned. */
    KNOWN,
    /** A battery, a charger or a person is at one thing at a time. */
    ONE_AT_A_TIME,
    /** A use covers its shift, once; a shift without one is told. */
    COVERS_SHIFT,
    /** Volts, plug and weight. */
    FITS,
    /** What is held does not work. */
    NOT_HELD,
    FULL_AND_COOL,
    /** It holds enough for the shift above what stays in it. */
    HOLDS_ENOUGH,
    /** It is in the machine by then. */
    IN_MACHINE,
    /** Only on a charger that goes with it, as long as it takes, while the charger is there. */
    CHARGES_RIGHT,
    /** It rests after the charge. */
    COOLS,
    /** By somebody who may, within his shift, as long as it takes. */
    BY_ONE_WHO_MAY,
    KILOWATTS,
    HYDROGEN,
    /** Water and readings only when full. */
    CARE_WHEN_FULL,
    /** Straight after a charge, on the same charger. */
    EQUALISE_AFTER_CHARGE,
    /** What is pinned stays. */
    PINNED
}
