package org.ostendum.app.procedure;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;
import org.ostendum.core.procedure.GateKey;

/**
 * What a site adds to a procedure, as typed.
 *
 * @param after id of the step it follows; empty for the beginning
 * @param text unasked for a gate, which has its own
 * @param least and {@code most}, {@code unit}: of a measure only
 */
record AdditionForm(
        @Needed(message = Needed.CHOICE) ProcedureAddition.@Nullable Kind kind,
        @Nullable String after,
        @Text(max = 400) @Nullable String text,
        @Within(min = "-100000", max = "100000") @Nullable Double least,
        @Within(min = "-100000", max = "100000") @Nullable Double most,
        @Text(max = 12) @Nullable String unit,
        @Nullable GateKey gate,
        @Text(max = 400) @Nullable String reason) {
    private static final int SHORTEST = 3;

    static final AdditionForm BLANK = new AdditionForm(null, "", "", null, null, "", null, "");

    static boolean isTooShort(@Nullable String text) {
        return text == null || text.length() < SHORTEST;
    }

    ProcedureAddition.@Nullable Range range() {
        return kind == ProcedureAddition.Kind.MEASURE && least != null && most != null && unit != null
                ? new ProcedureAddition.Range(unit, least, most)
                : null;
    }
}
