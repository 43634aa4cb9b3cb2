package org.ostendum.web.judgement;

import java.util.List;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.Ledger;
import org.ostendum.web.store.NewEntry;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes into a battery's ledger and brings its present state up to it, in one transaction. */
@Service
public class Logbook {
    private final Ledger ledger;
    private final Bench bench;
    private final ApplicationEventPublisher events;

    Logbook(Ledger ledger, Bench bench, ApplicationEventPublisher events) {
        this.ledger = ledger;
        this.bench = bench;
        this.events = events;
    }

    /** @return ids of the lines written */
    @Transactional
    public List<Long> write(Battery battery, List<NewEntry> entries) {
        List<Long> written = ledger.append(battery.id(), entries);
        bench.refresh(battery);
        events.publishEvent(new Written(battery, entries));
        return written;
    }
}
