package org.ostendum.core.procedure;

import org.ostendum.core.judge.Severity;

/** What an inspection can find wrong with a battery or a machine; it stays open until somebody put it right. */
public enum DefectKind {
    /** Cracked, bulging, leaking or frozen: {@code safety.damage}. */
    DAMAGED_CASE(Severity.STOP, true),
    DIRTY_TOP(Severity.WATCH, true),
    CORRODED_POST(Severity.WATCH, true),
    LOOSE_POST(Severity.ACT, true),
    WORN_LUG(Severity.ACT, true),
    FRAYED_CABLE(Severity.ACT, false),
    LOOSE_HOLD_DOWN(Severity.ACT, false),
    WORN_PLUG(Severity.ACT, false),
    TURNED_COLOUR(Severity.ACT, true),
    LOW_LEVEL(Severity.WATCH, true),
    BLOCKED_VENT(Severity.ACT, true),
    FULL_SUMP(Severity.WATCH, false),
    PITTED_CONNECTOR(Severity.ACT, true),
    REGULATOR_OFF(Severity.ACT, false);

    private final Severity severity;
    private final boolean ofBattery;

    DefectKind(Severity severity, boolean ofBattery) {
        this.severity = severity;
        this.ofBattery = ofBattery;
    }

    public Severity severity() {
        return severity;
    }

    /** @return whether it goes with the battery; else it stays with the machine */
    public boolean isOfBattery() {
        return ofBattery;
    }
}
