package org.ostendum.core.wiring;

/** In which order the cables of a pack come off; they go back on the other way round. Practice {@code pack.order}. */
public enum School {
    /** Negative leads first, the positive last. */
    NEGATIVE_FIRST,
    /** A middle link first, so that each half carries half the voltage. */
    MIDDLE_FIRST,
    /** The order in which the highest reachable voltage, and the time spent near it, is least. */
    LEAST
}
