package org.ostendum.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class SignInThrottleTest {
    private Instant now = Instant.parse("2026-01-01T00:00:00Z");

    private final SignInThrottle throttle = new SignInThrottle(new Clock() {
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
    });

    private void fail(String login, String address, int times) {
        for (int i = 0; i < times; i++) {
            throttle.failed(login, address);
        }
    }

    @Test
    void aNameWaitsAfterFiveWrongTriesAndIsLetInAgainLater() {
        fail("tom", "a", SignInThrottle.TRIES_BY_NAME - 1);
        assertThat(throttle.isBlocked("tom", "a")).isFalse();
        fail("TOM", "b", 1);
        assertThat(throttle.isBlocked("tom", "c")).isTrue();
        assertThat(throttle.isBlocked("ines", "a")).isFalse();
        now = now.plus(SignInThrottle.WAIT).plus(Duration.ofSeconds(1));
        assertThat(throttle.isBlocked("tom", "a")).isFalse();
    }

    @Test
    void anAddressWaitsAfterThirtyWhateverTheNames() {
        for (int i = 0; i < SignInThrottle.TRIES_BY_ADDRESS; i++) {
            fail("name" + i, "same", 1);
        }
        assertThat(throttle.isBlocked("fresh", "same")).isTrue();
        assertThat(throttle.isBlocked("fresh", "other")).isFalse();
    }

    @Test
    void aRightPasswordWipesTheNamesSlate() {
        fail("tom", "a", 4);
        throttle.succeeded("tom");
        fail("tom", "a", 4);
        assertThat(throttle.isBlocked("tom", "a")).isFalse();
    }
}
