package org.ostendum.core.alarm;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Set;
import org.ostendum.core.quantity.OutOfRange;

/**
 * When somebody who does not look is told of an alarm.
 *
 * @param kinds of which he is told; empty for all that are grave
 * @param from time of day at which it begins to hold
 * @param until time of day at which it ends, before {@code from} for a night; the same for the whole day
 * @param after how long nobody may have seen the alarm before he is told, 0 to 24 hours
 */
public record Telling(Set<AlarmKind> kinds, LocalTime from, LocalTime until, Duration after) {
    /** After so many tries it is given up, and the page says so. */
    public static final int MOST_TRIES = 6;

    private static final Duration FIRST_PAUSE = Duration.ofSeconds(15);

    /** @throws OutOfRange for a wait beyond a day */
    public Telling {
        OutOfRange.check("minutes until somebody is told", (double) after.toMinutes(), 0, 24 * 60);
        kinds = Set.copyOf(kinds);
    }

    /**
     * @param raised when the alarm began
     * @return whether it is time to tell of it, as long as nobody has seen it
     */
    public boolean isDue(AlarmKind kind, Instant raised, Instant now, ZoneId zone) {
        return tells(kind)
                && !raised.plus(after).isAfter(now)
                && holdsAt(now.atZone(zone).toLocalTime());
    }

    private boolean tells(AlarmKind kind) {
        return kinds.isEmpty() ? kind.isGrave() : kinds.contains(kind);
    }

    private boolean holdsAt(LocalTime time) {
        if (from.equals(until)) {
            return true;
        }
        boolean begun = !time.isBefore(from);
        boolean ended = !time.isBefore(until);
        return from.isBefore(until) ? begun && !ended : begun || !ended;
    }

    /**
     * @param tries that have failed, 1 and up
     * @return how long the next one waits: twice as long each time, from 15 s
     */
    public static Duration pauseAfter(int tries) {
        return FIRST_PAUSE.multipliedBy(1L << Math.min(MOST_TRIES, tries - 1));
    }
}
