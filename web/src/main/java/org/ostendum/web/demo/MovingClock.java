package org.ostendum.web.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** A clock that the demo's past is written by, so that each line is dated when it would have been written. */
final class MovingClock extends Clock {
    private Instant now;

    MovingClock(Instant start) {
        this.now = start;
    }

    void moveTo(Instant instant) {
        now = instant;
    }

    @Override
    public Instant instant() {
        return now;
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
