package org.ostendum.app.state;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.ledger.ChainCheck;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.CellReading;
import org.springframework.stereotype.Service;

/** Finds a changed past: a broken chain of hashes, or readings that are no longer those of their ledger line. */
@Service
public class PastCheck {
    private final Ledger ledger;
    private final Rounds rounds;

    PastCheck(Ledger ledger, Rounds rounds) {
        this.ledger = ledger;
        this.rounds = rounds;
    }

    public ChainCheck check(long batteryId) {
        ChainCheck chain = ledger.check(batteryId);
        if (!chain.isWhole()) {
            return chain;
        }
        Map<Long, List<CellReading>> stored = rounds.firstReadingsByEntry(batteryId);
        return ledger.ofBattery(batteryId, null, Integer.MAX_VALUE).stream()
                .filter(entry -> entry.kind() == EntryKind.ROUND && !agrees(entry, stored.get(entry.id())))
                .findFirst()
                .map(entry -> new ChainCheck(chain.lines(), null, entry.seq()))
                .orElse(chain);
    }

    private static boolean agrees(LedgerEntry entry, @Nullable List<CellReading> stored) {
        List<String> written = Payload.read(entry.payload())
                .path("cells")
                .valueStream()
                .map(Object::toString)
                .toList();
        List<CellReading> readings = stored == null ? List.of() : stored;
        List<String> now = readings.stream()
                .map(reading -> RoundRecord.reading(reading).toString())
                .toList();
        return written.equals(now);
    }
}
