package org.ostendum.app.ledger;

import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Sha256;

/** The hash of a ledger line over the hash of the line before it and all that the line says: SHA-256, in hex. */
public final class ChainHash {
    /** What stands before the first line. */
    public static final String BEFORE_FIRST = "0".repeat(64);

    private ChainHash() {}

    public static String of(String previous, long batteryId, int seq, Instant recordedAt, NewEntry entry) {
        String said = String.join(
                "\n",
                previous,
                Long.toString(batteryId),
                Integer.toString(seq),
                entry.kind().name(),
                entry.happenedAt().toString(),
                recordedAt.toString(),
                Long.toString(entry.personId()),
                text(entry.cell()),
                quantity(entry.quantity()),
                text(entry.correctsId()),
                entry.payload());
        return Sha256.hex(said);
    }

    private static String quantity(@Nullable BigDecimal quantity) {
        return quantity == null ? "" : quantity.stripTrailingZeros().toPlainString();
    }

    private static String text(@Nullable Object value) {
        return value == null ? "" : value.toString();
    }
}
