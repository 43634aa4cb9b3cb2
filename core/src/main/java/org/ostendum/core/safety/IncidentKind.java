package org.ostendum.core.safety;

/** What an incident was, the first of what happened where it was several. */
public enum IncidentKind {
    SPILL,
    ACID_ON_PERSON,
    GAS,
    FIRE,
    /** A short, an arc, a shock or a burn by current. */
    CURRENT,
    /** Something fell, tipped or crushed while it was lifted or moved. */
    LIFTING,
    OTHER;

    /** @return whether the spill kit was used, so that it has to be filled up before the report is closed */
    public boolean usesKit() {
        return this == SPILL;
    }

    /** @return whether a battery that had part in it may be broken, so that it is looked over before it is charged or works again */
    public boolean mayBreakBattery() {
        return this == SPILL || this == FIRE || this == CURRENT || this == LIFTING;
    }
}
