package org.ostendum.web.store;

/** What a person is in the battery room. */
public enum Role {
    TECHNICIAN,
    LEAD,
    SAFETY,
    MECHANIC,
    VIEWER
}
