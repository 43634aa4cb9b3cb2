package org.ostendum.app.procedure;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.procedure.GateKey;

/**
 * What a site adds to a procedure.
 *
 * @param afterStep the step it follows or, for a caution, belongs to; null for the beginning
 * @param range what may be measured, of a measurement; else null
 * @param gate of a gate; else null
 * @param endedAt when it was taken out again, null while in force
 */
public record ProcedureAddition(
        long id,
        String procedureId,
        Kind kind,
        @Nullable String afterStep,
        String text,
        @Nullable Range range,
        @Nullable GateKey gate,
        String reason,
        Instant addedAt,
        String addedBy,
        @Nullable Instant endedAt) {
    /** What a measurement may be, both ends included, in its unit. */
    public record Range(String unit, double least, double most) {}

    /** What can be added: steps, words beside one, a state that must hold, what comes before the procedure. */
    public enum Kind {
        STEP,
        /** A step at which nothing goes on until its words are confirmed. */
        HOLD,
        /** A step at which a number is read off. */
        MEASURE,
        CAUTION,
        /** One of the gates, asked before the job is begun. */
        GATE,
        REFERENCE
    }
}
