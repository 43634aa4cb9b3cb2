package org.ostendum.core.people;

/** Whether pages are light or dark. */
public enum Theme {
    /** As the device has it. */
    DEVICE,
    DAY,
    NIGHT
}
