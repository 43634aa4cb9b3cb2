package org.ostendum.core.plan.make;

import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** When one battery, charger or person is busy: half-open stretches of seconds that do not overlap. */
final class Calendar {
    private final TreeMap<Long, Long> busy = new TreeMap<>();

    /** @return the end of the first thing that stands in the way of {@code from} to {@code until}; null where it is free */
    @Nullable
    Long inTheWay(long from, long until) {
        Map.Entry<Long, Long> before = busy.floorEntry(from);
        if (before != null && before.getValue() > from) {
            return before.getValue();
        }
        Map.Entry<Long, Long> next = busy.higherEntry(from);
        return next != null && next.getKey() < until ? next.getValue() : null;
    }

    boolean isFree(long from, long until) {
        return inTheWay(from, until) == null;
    }

    /** Pinned jobs and absences may overlap: they are taken together. */
    void take(long from, long until) {
        long start = from;
        long end = until;
        Map.Entry<Long, Long> before = busy.floorEntry(from);
        if (before != null && before.getValue() > from) {
            start = before.getKey();
            end = Math.max(end, before.getValue());
        }
        for (Map.Entry<Long, Long> next = busy.ceilingEntry(start);
                next != null && next.getKey() < end;
                next = busy.ceilingEntry(start)) {
            end = Math.max(end, next.getValue());
            busy.remove(next.getKey());
        }
        busy.put(start, end);
    }

    void free(long from) {
        busy.remove(from);
    }

    /** @return the beginning of the next busy stretch at or after a moment; {@link Long#MAX_VALUE} for none */
    long nextBusy(long from) {
        Long next = busy.ceilingKey(from);
        return next == null ? Long.MAX_VALUE : next;
    }
}
