package org.ostendum.app.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Queue;

/** A clock that the demo's past is written by, so that each line is dated when it would have been written. */
final class MovingClock extends Clock {
    private final Queue<Instant> ahead = new ArrayDeque<>();
    private Instant now;

    MovingClock(Instant start) {
        this.now = start;
    }

    void moveTo(Instant instant) {
        now = instant;
    }

    /** The next readings of the clock show these moments, one each; then it stands where it was. */
    void goThrough(Collection<Instant> moments) {
        ahead.addAll(moments);
    }

    @Override
    public Instant instant() {
        Instant next = ahead.poll();
        return next == null ? now : next;
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return this;
    }
}
