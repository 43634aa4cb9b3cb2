package org.ostendum.app.inventory;

/** What a battery drives. */
public enum MachineKind {
    FORKLIFT,
    GOLF_CAR,
    PLATFORM,
    AIRCRAFT
}
