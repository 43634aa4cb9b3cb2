package org.ostendum.app.device;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The times that listening needs: the site's, which may be corrected or run fast, and one that never jumps. */
@Component
class DeviceClock {
    private static final Duration LEAST = Duration.ofMillis(500);

    private final Clock clock;
    private final double speed;
    private final Duration every;

    DeviceClock(
            Clock clock,
            @Value("${ostendum.clock.speed}") double speed,
            @Value("${ostendum.devices.every}") Duration every) {
        this.clock = clock;
        this.speed = speed;
        this.every = every;
    }

    Instant now() {
        return clock.instant();
    }

    /** Of the machine, from no particular moment on. */
    long nanos() {
        return System.nanoTime();
    }

    double speed() {
        return speed;
    }

    /** @return real time from one poll to the next: every few seconds of the site's clock */
    Duration realPause() {
        Duration pause = Duration.ofMillis(Math.round(every.toMillis() / speed));
        return pause.compareTo(LEAST) < 0 ? LEAST : pause;
    }

    /** The same in the time of the site's clock. */
    Duration betweenRounds() {
        return Duration.ofMillis(Math.round(realPause().toMillis() * speed));
    }
}
