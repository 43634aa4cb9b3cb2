package org.ostendum.app.ledger;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.ostendum.core.change.RestOrder;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.event.EventLog;
import org.springframework.stereotype.Component;

/** The charges of the last months: how long one takes is learned from them, and cycles are evened out by their number. */
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

    /** @return how often each has been charged to the end lately, by the battery's id; 0 for those with none on record */
    public Map<Long, Integer> cyclesOf(Collection<Long> batteryIds) {
        Instant since = clock.instant().minus(RestOrder.LATELY);
        Map<Long, Integer> cycles = new HashMap<>();
        of(batteryIds).forEach((id, past) -> cycles.put(id, past.countSince(since)));
        return cycles;
    }

    private Map<Long, PastCharges> read(List<Long> batteryIds) {
        Map<Long, EventLog> lately = ledger.charges(batteryIds, clock.instant().minus(LEARNED_FROM));
        return batteryIds.stream()
                .collect(Collectors.toMap(id -> id, id -> PastCharges.of(lately.getOrDefault(id, EventLog.NONE))));
    }
}
