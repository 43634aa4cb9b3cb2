package org.ostendum.core.plan.room;

import java.time.Instant;

/**
 * A stretch of work.
 *
 * @param id unlike any other of its machine
 * @param ah taken out in all of it, 0 and up
 */
public record Shift(String id, Instant start, Instant end, double ah) {
    public Span span() {
        return new Span(start, end);
    }
}
