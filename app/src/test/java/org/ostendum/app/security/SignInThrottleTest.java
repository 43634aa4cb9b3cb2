package org.ostendum.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SignInThrottleTest {
    private Instant now = Instant.parse("2026-01-01T00:00:00Z");

    private final SignInThrottle throttle = new SignInThrottle(new Clock() {
        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    });

    private void expectTries(String person, int left) {
        for (int i = 0; i < left; i++) {
            assertThat(throttle.look(person, () -> false)).contains(false);
        }
        assertThat(throttle.look(person, () -> true)).isEmpty();
    }

    @Test
    void aPersonHasFiveTriesInTenMinutes() {
        expectTries("person 1", SignInThrottle.TRIES_BY_PERSON);
        expectTries("person 2", SignInThrottle.TRIES_BY_PERSON);
        now = now.plus(SignInThrottle.WAIT).minusSeconds(1);
        assertThat(throttle.look("person 1", () -> true)).isEmpty();
        now = now.plusSeconds(2);
        expectTries("person 1", SignInThrottle.TRIES_BY_PERSON);
    }

    /** Whoever knocks on and on does not keep the door shut for ever. */
    @Test
    void triesThatAreRefusedDoNotLengthenTheWait() {
        expectTries("person 1", SignInThrottle.TRIES_BY_PERSON);
        for (int minute = 1; minute < SignInThrottle.WAIT.toMinutes(); minute++) {
            now = now.plus(Duration.ofMinutes(1));
            assertThat(throttle.look("person 1", () -> true)).isEmpty();
        }
        now = now.plus(Duration.ofSeconds(61));
        assertThat(throttle.look("person 1", () -> true)).contains(true);
    }

    @Test
    void theRightPasswordForgetsTheWrongOnes() {
        assertThat(throttle.look("person 1", () -> false)).contains(false);
        assertThat(throttle.look("person 1", () -> true)).contains(true);
        expectTries("person 1", SignInThrottle.TRIES_BY_PERSON);
    }

    @Test
    void manyTriesAtOnceAreNoMoreThanOneAfterTheOther() throws Exception {
        assertThat(lookedAt(false)).as("wrong ones").isEqualTo(SignInThrottle.TRIES_BY_PERSON);
    }

    /** Twenty-five programs of one person that all know the password are no guessing. */
    @Test
    void manyRightOnesAtOnceAreAllRight() throws Exception {
        assertThat(lookedAt(true)).isEqualTo(25);
    }

    private int lookedAt(boolean right) throws Exception {
        ExecutorService many = Executors.newFixedThreadPool(25);
        CountDownLatch start = new CountDownLatch(1);
        List<Future<Boolean>> tries = IntStream.range(0, 25)
                .mapToObj(i -> many.submit(() -> {
                    start.await();
                    return throttle.look("person 1", () -> right).isPresent();
                }))
                .toList();
        start.countDown();
        int admitted = 0;
        for (Future<Boolean> each : tries) {
            admitted += each.get() ? 1 : 0;
        }
        many.shutdown();
        return admitted;
    }

    /** A whole house may have one address: it is slowed down, and never shut out. */
    @ParameterizedTest
    @CsvSource({"0, 0", "9, 0", "10, 125", "11, 250", "13, 1000", "15, 4000", "16, 4000", "100000, 4000"})
    void wrongTriesFromAnAddressMakeTheNextOneWait(int failures, long millis) {
        for (int i = 0; i < failures; i++) {
            throttle.failed("10.0.0.1");
        }
        assertThat(throttle.delay("10.0.0.1")).hasMillis(millis);
        assertThat(throttle.delay("10.0.0.2")).isZero();
        assertThat(throttle.await("10.0.0.2")).isTrue();
    }
}
