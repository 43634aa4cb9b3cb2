package org.ostendum.app.round;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.state.Rounds;
import org.springframework.stereotype.Component;

/** Finds the round that somebody wants to put right. */
@Component
class RoundsOnRecord {
    private final Ledger ledger;
    private final Rounds rounds;

    RoundsOnRecord(Ledger ledger, Rounds rounds) {
        this.ledger = ledger;
        this.rounds = rounds;
    }

    /** @param line its number in the battery's ledger; null where the newest was meant */
    record Found(Battery battery, ClosedRound round, @Nullable Integer line) {}

    /** @param line number of the round's line in the ledger; null for the newest round */
    Found of(Battery battery, @Nullable Integer line) {
        List<ClosedRound> newestLast = rounds.history(battery.id(), line == null ? 1 : Integer.MAX_VALUE);
        @Nullable
        Long entry = line == null
                ? null
                : ledger.line(battery.id(), line).map(LedgerEntry::id).orElse(null);
        return newestLast.stream()
                .filter(round -> line == null || (entry != null && round.ledgerEntryId() == entry))
                .findFirst()
                .map(round -> new Found(battery, round, line))
                .orElseThrow(() -> new NotFound("round in line " + line + " of " + battery.code()));
    }
}
