package org.ostendum.app.ledger;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.EntryKind;

/**
 * Which lines of the ledger are looked for.
 *
 * @param battery code; empty for all
 * @param kind null for all
 * @param personId who wrote it down; null for all
 * @param from when it happened, included; null for no bound
 * @param until when it happened, excluded; null for no bound
 * @param text letters of its remark or of what it holds; empty for all
 */
public record Sought(
        String battery,
        @Nullable EntryKind kind,
        @Nullable Long personId,
        @Nullable Instant from,
        @Nullable Instant until,
        String text) {
    public static final Sought ALL = new Sought("", null, null, null, null, "");

    /** @return all of one kind */
    public static Sought of(@Nullable EntryKind kind) {
        return new Sought("", kind, null, null, null, "");
    }

    /** @return all of a time, its end excluded */
    public static Sought between(Instant from, Instant until) {
        return new Sought("", null, null, from, until, "");
    }
}
