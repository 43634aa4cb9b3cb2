package org.ostendum.app.ledger;

import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
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
        return new NewEntry(kind, happenedAt, personId, null, quantity, null, Payload.remark(remark));
    }

    /** The same line with more to keep. */
    public NewEntry with(String more) {
        return new NewEntry(kind, happenedAt, personId, cell, quantity, correctsId, more);
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
