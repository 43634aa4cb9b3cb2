package org.ostendum.core.battery;

/** How the electrolyte is held; half the practices of the room would ruin the sealed kinds. */
public enum CellKind {
    FLOODED,
    AGM,
    GEL;

    /** @return whether cells have caps: gravity can be drawn and water added */
    public boolean hasCaps() {
        return this == FLOODED;
    }
}
