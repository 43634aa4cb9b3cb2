package org.ostendum.web.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What a site adds to a procedure.
 *
 * @param afterStep the step it follows or, for a caution, belongs to; null for the beginning
 * @param endedAt when it was taken out again, null while in force
 */
public record ProcedureAddition(
        long id,
        String procedureId,
        Kind kind,
        @Nullable String afterStep,
        String text,
        String reason,
        Instant addedAt,
        String addedBy,
        @Nullable Instant endedAt) {
    /** A step of its own, words beside a step, or what comes before the procedure. */
    public enum Kind {
        STEP,
        CAUTION,
        REFERENCE
    }
}
