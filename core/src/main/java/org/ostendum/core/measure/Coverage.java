package org.ostendum.core.measure;

/** How much of the battery a round has read. */
public enum Coverage {
    WHOLE,
    /** Closed with cells unread. */
    PARTIAL,
    /** One pilot cell in place of all. */
    PILOT
}
