package org.ostendum.core.charger;

import org.ostendum.core.judge.Message;
import org.ostendum.core.rulebook.Severity;

/**
 * One thing in which a charger and a battery do not go together.
 *
 * @param severity STOP where the charge must not be started
 * @param sentence what does not fit, with both values, and the way out
 */
public record Mismatch(Kind kind, Severity severity, Message sentence) {
    public enum Kind {
        VOLTAGE,
        CONNECTOR,
        CHEMISTRY,
        CAPACITY,
        TOO_MANY_AMPERES,
        TOO_FEW_AMPERES,
        LOCKOUT,
        AIR,
        POWER,
        /** The kind of charge that is wanted. */
        SCHOOL
    }
}
