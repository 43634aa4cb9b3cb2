package org.ostendum.core.people;

/** What a person is in the battery room. */
public enum Role {
    TECHNICIAN,
    LEAD,
    SAFETY,
    MECHANIC,
    VIEWER
}
