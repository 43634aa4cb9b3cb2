package org.ostendum.app.ledger;

import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.EntryKind;

/**
 * A line to be written into a battery's ledger.
 *
 * @param happenedAt when it happened, which may be before it is written
 * @param quantity Ah, ml or hours by the kind; null for none
 * @param correctsId the line it corrects, null for none
 * @param payload what else is to be kept, as JSON
 */
public record NewEntry(
        EntryKind kind,
        Instant happenedAt,
        long personId,
        @Nullable Integer cell,
        @Nullable BigDecimal quantity,
        @Nullable Long correctsId,
        String payload) {

    /** A line without more than its quantity and a remark. */
    public static NewEntry of(
            EntryKind kind, Instant happenedAt, long personId, @Nullable BigDecimal quantity, String remark) {
        return new NewEntry(
                kind, happenedAt, personId, null, quantity, null, LedgerText.write(LedgerPayload.Remark.of(remark)));
    }

    /** A line of the battery as a whole, without a figure. */
    public static NewEntry keeping(EntryKind kind, Instant happenedAt, long personId, LedgerPayload... parts) {
        return new NewEntry(kind, happenedAt, personId, null, null, null, LedgerText.write(parts));
    }

    /** The same line with more to keep. */
    public NewEntry with(LedgerPayload... more) {
        return new NewEntry(kind, happenedAt, personId, cell, quantity, correctsId, LedgerText.with(payload, more));
    }

    /** @return that part of what the line keeps; its members are null where it does not keep them */
    public <P extends LedgerPayload> P told(Class<P> part) {
        return LedgerText.read(payload, part);
    }

    /** The same line of another moment. */
    public NewEntry at(Instant moment) {
        return new NewEntry(kind, moment, personId, cell, quantity, correctsId, payload);
    }

    /** The same line in place of an earlier one. */
    public NewEntry correcting(long lineId) {
        return new NewEntry(kind, happenedAt, personId, cell, quantity, lineId, payload);
    }

    /** The same line about one cell. */
    public NewEntry ofCell(@Nullable Integer one) {
        return new NewEntry(kind, happenedAt, personId, one, quantity, correctsId, payload);
    }
}
