package org.ostendum.web.store;

/** What a battery drives. */
public enum MachineKind {
    FORKLIFT,
    GOLF_CAR,
    PLATFORM,
    AIRCRAFT
}
