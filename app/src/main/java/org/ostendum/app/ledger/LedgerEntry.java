package org.ostendum.app.ledger;

import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.EntryKind;

/**
 * A line of a battery's ledger.
 *
 * @param seq 1.. within the battery
 * @param correctedBySeq the later line that corrects it, null for none
 * @param correctsSeq the earlier line it corrects, null for none
 */
public record LedgerEntry(
        long id,
        long batteryId,
        String batteryCode,
        int seq,
        EntryKind kind,
        Instant happenedAt,
        Instant recordedAt,
        String person,
        @Nullable Integer cell,
        @Nullable BigDecimal quantity,
        @Nullable Integer correctsSeq,
        @Nullable Integer correctedBySeq,
        String payload) {
    /** @return that part of what the line keeps; its members are null where it does not keep them */
    public <P extends LedgerPayload> P told(Class<P> part) {
        return LedgerText.read(payload, part);
    }
}
