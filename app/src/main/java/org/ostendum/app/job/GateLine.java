package org.ostendum.app.job;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.GateOutcome;
import org.ostendum.core.procedure.RunEvent;

/**
 * A gate as told to a person.
 *
 * @param standing OPEN, SHUT or UNKNOWN
 * @param why null for an open gate
 * @param remedy what opens it, null for an open gate
 * @param opensBy the procedure that opens it, null for none
 */
public record GateLine(
        GateKey gate, String standing, @Nullable String why, @Nullable String remedy, @Nullable String opensBy) {

    public static GateLine of(GateKey gate, GateOutcome outcome, Words words) {
        if (outcome instanceof GateOutcome.Shut shut) {
            return new GateLine(gate, "SHUT", words.say(shut.why()), words.say(shut.remedy()), shut.opensBy());
        } else if (outcome instanceof GateOutcome.Unknown unknown) {
            return new GateLine(gate, "UNKNOWN", words.say(unknown.look()), null, null);
        }
        return new GateLine(gate, "OPEN", null, null, null);
    }

    public boolean isShut() {
        return standing.equals("SHUT");
    }

    /** @return whether no record tells, so that somebody has to look */
    public boolean isUnknown() {
        return standing.equals("UNKNOWN");
    }

    /** That somebody has looked at it and found it right. */
    public JobRunning.PassedGate looked() {
        return new JobRunning.PassedGate(gate, RunEvent.Kind.GATE_LOOKED, why == null ? "" : why);
    }

    /** @return whether a lead may go through it with a reason */
    public boolean mayBeOverridden() {
        return gate.mayBeOverridden();
    }
}
