package org.ostendum.app.ledger;

import java.time.Clock;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.event.EventLog;
import org.springframework.stereotype.Component;

/** The charges of the last months, from which it is learned how long one takes. */
@Component
public class RecentCharges {
    private static final Duration LEARNED_FROM = Duration.ofDays(120);

    private final Ledger ledger;
    private final Clock clock;
    private final ByLastLine<PastCharges> read;

    RecentCharges(Ledger ledger, Clock clock) {
        this.ledger = ledger;
        this.clock = clock;
        this.read = new ByLastLine<>(ledger);
    }

    /** @return by the battery's id, also for those with none on record */
    public Map<Long, PastCharges> of(Collection<Long> batteryIds) {
        return read.of(batteryIds, this::read);
    }

    private Map<Long, PastCharges> read(List<Long> batteryIds) {
        Map<Long, EventLog> lately = ledger.charges(batteryIds, clock.instant().minus(LEARNED_FROM));
        return batteryIds.stream()
                .collect(Collectors.toMap(id -> id, id -> PastCharges.of(lately.getOrDefault(id, EventLog.NONE))));
    }
}
