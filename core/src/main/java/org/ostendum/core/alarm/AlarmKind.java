package org.ostendum.core.alarm;

import org.ostendum.core.rulebook.Severity;

/** What an alarm is about. The gravest come first. */
public enum AlarmKind {
    GAS_STOP(Severity.STOP),
    OVER_TEMPERATURE(Severity.STOP),
    GAS_HIGH(Severity.STOP),
    FAN_OFF(Severity.STOP),
    NO_END(Severity.ACT),
    ENDED_EARLY(Severity.ACT),
    /** The battery lies below what the charger senses: recovery. */
    LOCKOUT(Severity.ACT),
    WRONG_VOLTAGE(Severity.STOP),
    NOT_STARTED(Severity.ACT),
    /** By the record it charges, and its charger says that nothing is plugged in: a plug pulled without a word, the power gone. */
    UNPLUGGED(Severity.ACT),
    /** Nothing that hangs on a line is heard. */
    LINE_SILENT(Severity.ACT),
    /** The date until which a cell may stay bridged has come. */
    BRIDGED_TOO_LONG(Severity.STOP),
    /** A cell reverses, or is about to, in a discharge test. */
    CELL_REVERSES(Severity.STOP),
    /** An incident was reported, and no lead has closed its report. */
    INCIDENT(Severity.ACT),
    LEVEL_LOW(Severity.WATCH),
    /** A device has said nothing sensible for a while. */
    NOT_HEARD(Severity.WATCH);

    private final Severity severity;

    AlarmKind(Severity severity) {
        this.severity = severity;
    }

    /** @return whether it is of what is not heard, so that no single word can have raised it by mistake */
    public boolean isOfSilence() {
        return this == LINE_SILENT || this == NOT_HEARD;
    }

    /** @return whether it is about one charge, and gone with it */
    public boolean isOfCharge() {
        return switch (this) {
            case OVER_TEMPERATURE, NO_END, ENDED_EARLY, LOCKOUT, WRONG_VOLTAGE, NOT_STARTED, UNPLUGGED -> true;
            default -> false;
        };
    }

    public Severity severity() {
        return severity;
    }

    /** @return whether somebody has to do something about it at once or soon */
    public boolean isGrave() {
        return severity.compareTo(Severity.WATCH) > 0;
    }
}
