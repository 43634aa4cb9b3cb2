package org.ostendum.web.judgement;

import java.util.List;
import org.ostendum.core.measure.CellReading;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.ClosedRound;
import org.ostendum.web.store.EntryKind;
import org.ostendum.web.store.Ledger;
import org.ostendum.web.store.NewEntry;
import org.ostendum.web.store.Payload;
import org.ostendum.web.store.Rounds;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ObjectNode;

/** Corrects a reading on record: a new line that points to the old one, which stays as it is. */
@Service
public class Corrections {
    private final Ledger ledger;
    private final Rounds rounds;
    private final Bench bench;

    Corrections(Ledger ledger, Rounds rounds, Bench bench) {
        this.ledger = ledger;
        this.rounds = rounds;
        this.bench = bench;
    }

    @Transactional
    public void correct(
            Battery battery, ClosedRound round, CellReading was, CellReading is, String reason, long personId) {
        ObjectNode payload = Payload.object();
        payload.set("was", RoundRecord.reading(was));
        payload.set("is", RoundRecord.reading(is));
        payload.put("reason", reason);
        ledger.append(
                battery.id(),
                List.of(new NewEntry(
                        EntryKind.CORRECTION,
                        bench.instant(),
                        personId,
                        is.cell(),
                        null,
                        round.ledgerEntryId(),
                        payload.toString())));
        rounds.revise(battery.id(), round.id(), is);
        bench.refresh(battery);
    }
}
