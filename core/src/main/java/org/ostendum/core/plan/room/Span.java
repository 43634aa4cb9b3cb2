package org.ostendum.core.plan.room;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * A stretch of time, half-open: what ends at noon and what begins at noon do not touch.
 *
 * @param start included
 * @param end excluded
 */
public record Span(Instant start, Instant end) {
    /** @throws IllegalArgumentException where the end is not after the start */
    public Span {
        if (!end.isAfter(start)) {
            throw new IllegalArgumentException("end " + end + " is not after start " + start);
        }
    }

    public boolean touches(Span other) {
        return start.isBefore(other.end) && other.start.isBefore(end);
    }

    public boolean holds(Span other) {
        return !other.start.isBefore(start) && !other.end.isAfter(end);
    }

    /** @return what both have in common; empty where they do not touch */
    public Optional<Span> shared(Span other) {
        return touches(other)
                ? Optional.of(new Span(
                        start.isAfter(other.start) ? start : other.start, end.isBefore(other.end) ? end : other.end))
                : Optional.empty();
    }

    public Duration length() {
        return Duration.between(start, end);
    }
}
