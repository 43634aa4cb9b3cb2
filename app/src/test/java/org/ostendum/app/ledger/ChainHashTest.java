package org.ostendum.app.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.ostendum.core.event.EntryKind;

class ChainHashTest {
    private static final Instant AT = Instant.parse("2026-11-25T05:40:00Z");

    private static NewEntry entry(BigDecimal quantity, String payload) {
        return new NewEntry(EntryKind.WATER, AT, 3, null, quantity, null, payload);
    }

    /** Fixed for ever: a changed hash would make every past look changed. */
    @Test
    void theFirstLineHashesAsItAlwaysDid() {
        assertThat(ChainHash.of(ChainHash.BEFORE_FIRST, 7, 1, AT, entry(new BigDecimal("450.00"), "{}")))
                .isEqualTo(ChainHash.of("0".repeat(64), 7, 1, AT, entry(new BigDecimal("450"), "{}")))
                .isEqualTo("537d58477bdae790aa14c121f83469d5b0080436cd0e995e251862b0172c5526");
    }

    @Test
    void everythingALineSaysIsInItsHash() {
        NewEntry entry = entry(BigDecimal.ONE, "{}");
        Set<String> hashes = new HashSet<>(List.of(
                ChainHash.of(ChainHash.BEFORE_FIRST, 7, 1, AT, entry),
                ChainHash.of("1".repeat(64), 7, 1, AT, entry),
                ChainHash.of(ChainHash.BEFORE_FIRST, 8, 1, AT, entry),
                ChainHash.of(ChainHash.BEFORE_FIRST, 7, 2, AT, entry),
                ChainHash.of(ChainHash.BEFORE_FIRST, 7, 1, AT.plusNanos(1000), entry),
                ChainHash.of(ChainHash.BEFORE_FIRST, 7, 1, AT, entry(null, "{}")),
                ChainHash.of(ChainHash.BEFORE_FIRST, 7, 1, AT, entry(BigDecimal.TEN, "{}")),
                ChainHash.of(ChainHash.BEFORE_FIRST, 7, 1, AT, entry(BigDecimal.ONE, "{\"remark\":\"x\"}")),
                ChainHash.of(
                        ChainHash.BEFORE_FIRST,
                        7,
                        1,
                        AT,
                        new NewEntry(EntryKind.CHARGE_END, AT, 3, null, BigDecimal.ONE, null, "{}")),
                ChainHash.of(
                        ChainHash.BEFORE_FIRST,
                        7,
                        1,
                        AT,
                        new NewEntry(EntryKind.WATER, AT, 4, null, BigDecimal.ONE, null, "{}")),
                ChainHash.of(
                        ChainHash.BEFORE_FIRST,
                        7,
                        1,
                        AT,
                        new NewEntry(EntryKind.WATER, AT, 3, 1, BigDecimal.ONE, null, "{}")),
                ChainHash.of(
                        ChainHash.BEFORE_FIRST,
                        7,
                        1,
                        AT,
                        new NewEntry(EntryKind.WATER, AT, 3, null, BigDecimal.ONE, 9L, "{}"))));
        assertThat(hashes).hasSize(12);
    }
}
