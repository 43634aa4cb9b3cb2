package org.ostendum.sim.week;

/** What stands in the way of a machine that stands still, by the battery that comes nearest to working in it. */
public enum Obstacle {
    /** It is full and still cools. */
    COOLS,
    CHARGES,
    /** It waits for a charger. */
    WAITS_FOR_CHARGE,
    /** It is ready, and nobody has put it in. */
    NOT_CHANGED,
    /** The machine itself is still out. */
    STILL_OUT,
    /** Every battery that goes with it works elsewhere, or is cared for. */
    ALL_AWAY,
    /** The only charger of its battery has broken. */
    CHARGER_BROKEN
}
