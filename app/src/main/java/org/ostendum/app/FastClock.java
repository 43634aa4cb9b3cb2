package org.ostendum.app;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;

/** A clock that runs some times as fast as the system's, from a moment on at which both agreed. */
final class FastClock extends Clock {
    private final Clock system;
    private final Instant agreed;
    private final double speed;

    FastClock(Clock system, Instant agreed, double speed) {
        this.system = system;
        this.agreed = agreed;
        this.speed = speed;
    }

    @Override
    public Instant instant() {
        Duration since = Duration.between(agreed, system.instant());
        return agreed.plusMillis(Math.round(since.toMillis() * speed));
    }

    @Override
    public ZoneId getZone() {
        return system.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new FastClock(system.withZone(zone), agreed, speed);
    }
}
