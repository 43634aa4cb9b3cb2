package org.ostendum.web.support;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;

/** The demo's clock in tests: it runs as any other, but began at three in the afternoon, at whatever hour the tests are run. */
@TestConfiguration
public class HouseClock {
    private static final LocalTime BEGAN = LocalTime.of(15, 0);
    private static final Clock CLOCK = beganAt(Clock.systemUTC());

    private static Clock beganAt(Clock system) {
        Instant now = system.instant();
        Instant began = now.atOffset(ZoneOffset.UTC).with(BEGAN).toInstant();
        return Clock.offset(system, Duration.between(now, began));
    }

    @Bean
    @Primary
    Clock houseClock() {
        return CLOCK;
    }

    public static Instant now() {
        return CLOCK.instant();
    }
}
