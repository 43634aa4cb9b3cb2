package org.ostendum.app.event;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.EntryKind;

/**
 * What was done, as typed.
 *
 * @param ending how a charge ended: a word of {@code Ending}, or of the sign that spoke for full
 * @param meant not empty when an odd figure is said to be really so
 */
public record LogForm(
        @Nullable EntryKind kind,
        @Nullable String when,
        @Nullable String quantity,
        @Nullable String cell,
        @Nullable String ending,
        @Nullable String remark,
        @Nullable String meant) {
    /** How a charge may have ended, the strongest evidence first. */
    public static final List<String> ENDINGS =
            List.of("equal_gravities", "steady_voltage", "returned", "lamp", "ended_early", "stopped", "broken_off");

    /** An empty form for one kind. */
    public static LogForm of(EntryKind kind) {
        return new LogForm(kind, "", "", "", "", "", "");
    }

    public String remarkText() {
        return remark == null ? "" : remark.strip();
    }

    boolean isMeant() {
        return meant != null && !meant.isEmpty();
    }
}
