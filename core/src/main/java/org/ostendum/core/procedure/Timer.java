package org.ostendum.core.procedure;

import java.time.Duration;
import java.time.Instant;

/** A wait that has begun. It runs on whatever becomes of the screen that shows it. */
public record Timer(Instant startedAt, Duration length) {
    public Instant endsAt() {
        return startedAt.plus(length);
    }

    public boolean isOver(Instant now) {
        return !now.isBefore(endsAt());
    }

    /** @return never below zero */
    public Duration left(Instant now) {
        return isOver(now) ? Duration.ZERO : Duration.between(now, endsAt());
    }
}
