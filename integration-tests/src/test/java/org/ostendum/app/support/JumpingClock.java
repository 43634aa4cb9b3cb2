package org.ostendum.app.support;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** A fast clock that can be corrected, as a clock that is set over the network is. */
public final class JumpingClock extends Clock {
    private final Instant began = Instant.now();
    private final double speed;
    private volatile Duration jumped = Duration.ZERO;

    public JumpingClock(double speed) {
        this.speed = speed;
    }

    public void jump(Duration by) {
        jumped = jumped.plus(by);
    }

    @Override
    public Instant instant() {
        Duration since = Duration.between(began, Instant.now());
        return began.plusMillis(Math.round(since.toMillis() * speed)).plus(jumped);
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
