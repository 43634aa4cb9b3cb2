package org.ostendum.core.procedure;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Severity;

/** What an inspection can find wrong with a battery or a machine; it stays open until somebody put it right. */
public enum DefectKind {
    /** Cracked, bulging, leaking or frozen: {@code safety.damage}. */
    DAMAGED_CASE(Severity.STOP, true, null),
    DIRTY_TOP(Severity.WATCH, true, "wash"),
    CORRODED_POST(Severity.WATCH, true, "renew-connections"),
    LOOSE_POST(Severity.ACT, true, "renew-connections"),
    WORN_LUG(Severity.ACT, true, "renew-connections"),
    FRAYED_CABLE(Severity.ACT, false, null),
    LOOSE_HOLD_DOWN(Severity.ACT, false, null),
    WORN_PLUG(Severity.ACT, false, null),
    TURNED_COLOUR(Severity.ACT, true, null),
    LOW_LEVEL(Severity.WATCH, true, "water"),
    BLOCKED_VENT(Severity.ACT, true, null),
    FULL_SUMP(Severity.WATCH, false, null),
    PITTED_CONNECTOR(Severity.ACT, true, null),
    REGULATOR_OFF(Severity.ACT, false, null);

    private final Severity severity;
    private final boolean ofBattery;
    private final @Nullable String fixedBy;

    DefectKind(Severity severity, boolean ofBattery, @Nullable String fixedBy) {
        this.severity = severity;
        this.ofBattery = ofBattery;
        this.fixedBy = fixedBy;
    }

    public Severity severity() {
        return severity;
    }

    /** @return whether it goes with the battery; else it stays with the machine */
    public boolean isOfBattery() {
        return ofBattery;
    }

    /** @return the procedure whose end puts it right; null where a repair of its own is wanted */
    public @Nullable String fixedBy() {
        return fixedBy;
    }
}
