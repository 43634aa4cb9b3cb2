package org.ostendum.app.ledger;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** What was made of batteries' ledgers holds until they have another line, or the hour is over: what lies long back has moved on by then. */
final class ByLastLine<T> {
    private static final int MOST = 20_000;

    private final Ledger ledger;
    private final Cache<Made, T> made = Caffeine.newBuilder()
            .expireAfterWrite(Duration.ofHours(1))
            .maximumSize(MOST)
            .build();

    private record Made(long batteryId, int lines) {}

    ByLastLine(Ledger ledger) {
        this.ledger = ledger;
    }

    /**
     * @param make asked for those batteries alone of which nothing holds any more, never for none
     * @return by the battery's id
     */
    Map<Long, T> of(Collection<Long> batteryIds, Function<List<Long>, Map<Long, T>> make) {
        Map<Long, Integer> lines = batteryIds.isEmpty() ? Map.of() : ledger.lines(batteryIds);
        Map<Long, T> known = new HashMap<>();
        for (long id : batteryIds) {
            T kept = made.getIfPresent(new Made(id, lines.getOrDefault(id, 0)));
            if (kept != null) {
                known.put(id, kept);
            }
        }
        List<Long> others =
                batteryIds.stream().filter(id -> !known.containsKey(id)).toList();
        if (!others.isEmpty()) {
            make.apply(others).forEach((id, now) -> {
                made.put(new Made(id, lines.getOrDefault(id, 0)), now);
                known.put(id, now);
            });
        }
        return known;
    }
}
