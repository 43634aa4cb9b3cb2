package org.ostendum.app.ledger;

import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.ostendum.core.change.RestOrder;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.event.EventLog;
import org.springframework.stereotype.Component;

/** How often batteries have been charged to the end lately, by which cycles are evened out. */
@Component
public class RecentCycles {
    private final Ledger ledger;
    private final Clock clock;
    private final ByLastLine<Integer> counted;

    RecentCycles(Ledger ledger, Clock clock) {
        this.ledger = ledger;
        this.clock = clock;
        this.counted = new ByLastLine<>(ledger);
    }

    /** @return cycles by the battery's id; 0 for those with none on record */
    public Map<Long, Integer> of(Collection<Long> batteryIds) {
        return counted.of(batteryIds, this::count);
    }

    private Map<Long, Integer> count(List<Long> batteryIds) {
        Map<Long, EventLog> lately = ledger.charges(batteryIds, clock.instant().minus(RestOrder.LATELY));
        return batteryIds.stream()
                .collect(Collectors.toMap(id -> id, id -> PastCharges.of(lately.getOrDefault(id, EventLog.NONE))
                        .finished()
                        .size()));
    }
}
