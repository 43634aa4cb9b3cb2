package org.ostendum.core.safety;

/** What may hurt in a job. */
public enum Hazard {
    ACID,
    /** Hydrogen, from charging cells. */
    GAS,
    /** A tool across two posts. */
    SHORT_CIRCUIT,
    WEIGHT,
    HEAT,
    TRAFFIC
}
