package org.ostendum.app.ledger;

import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.HexFormat;
import org.jspecify.annotations.Nullable;

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
        return HexFormat.of().formatHex(sha256().digest(said.getBytes(StandardCharsets.UTF_8)));
    }

    private static String quantity(@Nullable BigDecimal quantity) {
        return quantity == null ? "" : quantity.stripTrailingZeros().toPlainString();
    }

    private static String text(@Nullable Object value) {
        return value == null ? "" : value.toString();
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
