package org.ostendum.app.ledger;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.util.Collection;
import java.util.HashMap;
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
    /** What was counted while a battery had its newest line: it goes on to hold until there is another, or the hour is over. */
    private final Cache<Counted, Integer> counted = Caffeine.newBuilder()
            .expireAfterWrite(Duration.ofHours(1))
            .maximumSize(20_000)
            .build();

    private record Counted(long batteryId, int lines) {}

    RecentCycles(Ledger ledger, Clock clock) {
        this.ledger = ledger;
        this.clock = clock;
    }

    /** @return cycles by the battery's id; 0 for those with none on record */
    public Map<Long, Integer> of(Collection<Long> batteryIds) {
        Map<Long, Integer> lines = ledger.lines(batteryIds);
        Map<Long, Integer> known = new HashMap<>();
        for (long id : batteryIds) {
            Integer cycles = counted.getIfPresent(new Counted(id, lines.getOrDefault(id, 0)));
            if (cycles != null) {
                known.put(id, cycles);
            }
        }
        List<Long> others =
                batteryIds.stream().filter(id -> !known.containsKey(id)).toList();
        count(others).forEach((id, cycles) -> {
            counted.put(new Counted(id, lines.getOrDefault(id, 0)), cycles);
            known.put(id, cycles);
        });
        return known;
    }

    private Map<Long, Integer> count(Collection<Long> batteryIds) {
        if (batteryIds.isEmpty()) {
            return Map.of();
        }
        Map<Long, EventLog> lately = ledger.charges(batteryIds, clock.instant().minus(RestOrder.LATELY));
        return batteryIds.stream()
                .collect(Collectors.toMap(id -> id, id -> PastCharges.of(lately.getOrDefault(id, EventLog.NONE))
                        .finished()
                        .size()));
    }
}
