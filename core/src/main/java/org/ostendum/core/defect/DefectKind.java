package org.ostendum.core.defect;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.rulebook.Severity;

/** What an inspection can find wrong with a battery or a machine; it stays open until somebody put it right. */
public enum DefectKind {
    /** Cracked, bulging, leaking or frozen: {@code safety.damage}. */
    DAMAGED_CASE(Severity.STOP, true, Shuts.CHARGE_AND_ISSUE),
    /** It fell, was shorted, lost acid or stood in a fire: nobody knows yet what that did to it. */
    AFTER_INCIDENT(Severity.ACT, true, Shuts.CHARGE_AND_ISSUE),
    DIRTY_TOP(Severity.WATCH, true, Shuts.NOTHING, "wash"),
    CORRODED_POST(Severity.WATCH, true, Shuts.NOTHING, "renew-connections"),
    /** Melts its post under load. */
    LOOSE_POST(Severity.ACT, true, Shuts.CHARGE_AND_ISSUE, "renew-connections"),
    WORN_LUG(Severity.ACT, true, Shuts.CHARGE_AND_ISSUE, "renew-connections"),
    FRAYED_CABLE(Severity.ACT, false, Shuts.CHARGE_AND_ISSUE),
    /** A battery that moves wears its case through and can tip a truck. */
    LOOSE_HOLD_DOWN(Severity.ACT, false, Shuts.ISSUE),
    WORN_PLUG(Severity.ACT, false, Shuts.CHARGE_AND_ISSUE),
    TURNED_COLOUR(Severity.ACT, true, Shuts.NOTHING),
    /** Plates show somewhere. */
    LOW_LEVEL(Severity.ACT, true, Shuts.CHARGE, "cover-plates", "cover-charge-fill", "water"),
    BLOCKED_VENT(Severity.ACT, true, Shuts.CHARGE),
    FULL_SUMP(Severity.WATCH, false, Shuts.NOTHING),
    PITTED_CONNECTOR(Severity.ACT, true, Shuts.CHARGE_AND_ISSUE),
    REGULATOR_OFF(Severity.ACT, false, Shuts.ISSUE);

    private enum Shuts {
        NOTHING,
        CHARGE,
        ISSUE,
        CHARGE_AND_ISSUE
    }

    private final Severity severity;
    private final boolean ofBattery;
    private final Shuts shuts;
    /** Parted by blanks: an enum holds nothing that can change. */
    private final String fixedBy;

    DefectKind(Severity severity, boolean ofBattery, Shuts shuts, String... fixedBy) {
        this.severity = severity;
        this.ofBattery = ofBattery;
        this.shuts = shuts;
        this.fixedBy = String.join(" ", fixedBy);
    }

    /** @return whether a battery of such a model can have it at all, or the machine it works in */
    public boolean canBeOf(BatteryModel model) {
        boolean ofAircraft = this == FULL_SUMP || this == PITTED_CONNECTOR || this == REGULATOR_OFF;
        boolean ofCaps = this == TURNED_COLOUR || this == LOW_LEVEL;
        return (!ofAircraft || model.duty() == Duty.AIRCRAFT)
                && (!ofCaps || model.kind().hasCaps());
    }

    public Severity severity() {
        return severity;
    }

    /** @return whether it goes with the battery; else it stays with the machine */
    public boolean isOfBattery() {
        return ofBattery;
    }

    /** @return whether no current may flow into the battery while it stands */
    public boolean shutsCharge() {
        return shuts == Shuts.CHARGE || shuts == Shuts.CHARGE_AND_ISSUE;
    }

    /** @return whether the battery does not go to work while it stands */
    public boolean shutsIssue() {
        return shuts == Shuts.ISSUE || shuts == Shuts.CHARGE_AND_ISSUE;
    }

    /** @return procedures whose end puts it right; none where a repair of its own is wanted */
    public List<String> fixedBy() {
        return fixedBy.isEmpty() ? List.of() : List.of(fixedBy.split(" ", -1));
    }

    /** @return the word programs outside know it by */
    public String word() {
        return switch (this) {
            case LOOSE_POST -> "loose_lug";
            case FRAYED_CABLE -> "cable_worn";
            case WORN_PLUG -> "connector_worn";
            case LOOSE_HOLD_DOWN -> "hold_down";
            case CORRODED_POST -> "growth";
            default -> name().toLowerCase(Locale.ROOT);
        };
    }

    /** @return empty for an unknown word; a leak is a damaged case */
    public static Optional<DefectKind> ofWord(String word) {
        return word.equals("leak")
                ? Optional.of(DAMAGED_CASE)
                : Arrays.stream(values())
                        .filter(kind -> kind.word().equals(word))
                        .findFirst();
    }
}
