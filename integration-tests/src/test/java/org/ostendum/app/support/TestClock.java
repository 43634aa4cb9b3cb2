package org.ostendum.app.support;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;

/**
 * The demo's clock in tests: it runs as any other, but began at three in the afternoon, at whatever hour the tests are run. That
 * was the last three o'clock there was, so that a process of its own on the same database finds nothing that lies ahead.
 */
public final class TestClock {
    private static final LocalTime BEGAN = LocalTime.of(15, 0);
    private static final Clock CLOCK = beganAt(Clock.systemUTC());

    private static Clock beganAt(Clock system) {
        Instant now = system.instant();
        Instant today = now.atOffset(ZoneOffset.UTC).with(BEGAN).toInstant();
        Instant began = today.isAfter(now) ? today.minus(Duration.ofDays(1)) : today;
        return Clock.offset(system, Duration.between(now, began));
    }

    private TestClock() {}

    static Clock shows() {
        return CLOCK;
    }

    public static Instant now() {
        return CLOCK.instant();
    }

    public static LocalDate today() {
        return LocalDate.ofInstant(now(), ZoneOffset.UTC);
    }
}
