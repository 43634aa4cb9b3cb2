package org.ostendum.core.battery;

/** What the battery is made for; the full window and many intervals hang on it. */
public enum Duty {
    MOTIVE,
    DEEP_CYCLE,
    AIRCRAFT,
    STATIONARY
}
