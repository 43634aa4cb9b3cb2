package org.ostendum.core.procedure;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.rulebook.RuleKey;

/** A limit of a measured step that follows the Rulebook: above it a stop condition holds. */
public enum StopLimit {
    /** Electrolyte before a charge is begun. */
    CHARGE_START,
    /** Electrolyte on charge. */
    CHARGE,
    /** Electrolyte during the first charge. */
    INITIAL_CHARGE;

    /**
     * @param duty of the battery, null for none
     * @return the rule that holds the limit
     */
    public RuleKey rule(@Nullable Duty duty) {
        return switch (this) {
            case CHARGE_START -> RuleKey.CHARGE_START_MOST;
            case CHARGE -> RuleKey.chargeStop(duty);
            case INITIAL_CHARGE -> RuleKey.INITIAL_PAUSE;
        };
    }
}
