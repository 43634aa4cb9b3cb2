package org.ostendum.app.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import org.springframework.stereotype.Component;

/**
 * Makes guessing slow. Tries for one person are looked at one after the other, so that many at once are no more than
 * that; tries from one address only take longer and longer, for a whole house may have one address.
 */
@Component
class SignInThrottle {
    static final int TRIES_BY_PERSON = 5;
    static final Duration WAIT = Duration.ofMinutes(10);
    /** So many wrong ones from an address cost nothing: a shift that begins mistypes as well. */
    static final int FREE_BY_ADDRESS = 10;

    static final Duration LONGEST_DELAY = Duration.ofSeconds(4);
    private static final long FIRST_DELAY_MILLIS = 125;
    /** A try that waits holds a thread. */
    private static final int WAITING_BY_ADDRESS = 4;

    private final Cache<String, Tries> triesOfPerson;
    private final Cache<String, Address> addresses;

    SignInThrottle(Clock clock) {
        Ticker ticker = () -> TimeUnit.MILLISECONDS.toNanos(clock.millis());
        this.triesOfPerson = Caffeine.newBuilder()
                .expireAfterWrite(WAIT)
                .maximumSize(100_000)
                .ticker(ticker)
                .build();
        this.addresses = Caffeine.newBuilder()
                .expireAfterWrite(WAIT)
                .maximumSize(100_000)
                .ticker(ticker)
                .build();
    }

    private static final class Address {
        private final AtomicInteger failures = new AtomicInteger();
        private final Semaphore waiting = new Semaphore(WAITING_BY_ADDRESS);
    }

    private static final class Tries {
        private int wrong;
    }

    /**
     * Looks at a try, one after the other for each person.
     *
     * @param person under whose record it is counted, or the name of nobody
     * @param right asks whether the password is right
     * @return whether it was; empty where no more tries are taken for now
     */
    Optional<Boolean> look(String person, BooleanSupplier right) {
        Tries tries = triesOfPerson.get(person, p -> new Tries());
        synchronized (tries) {
            if (tries.wrong >= TRIES_BY_PERSON) {
                return Optional.empty();
            }
            boolean isRight = right.getAsBoolean();
            tries.wrong = isRight ? 0 : tries.wrong + 1;
            return Optional.of(isRight);
        }
    }

    void failed(String address) {
        of(address).failures.incrementAndGet();
    }

    /** @return how long the next try from an address has to wait */
    Duration delay(String address) {
        int beyond = of(address).failures.get() - FREE_BY_ADDRESS;
        if (beyond < 0) {
            return Duration.ZERO;
        }
        Duration grown = Duration.ofMillis(FIRST_DELAY_MILLIS << Math.min(beyond, 10));
        return grown.compareTo(LONGEST_DELAY) < 0 ? grown : LONGEST_DELAY;
    }

    /**
     * Waits as long as the address has to.
     *
     * @return false where too many from there wait already
     */
    boolean await(String address) {
        Duration delay = delay(address);
        if (delay.isZero()) {
            return true;
        }
        Semaphore waiting = of(address).waiting;
        if (!waiting.tryAcquire()) {
            return false;
        }
        try {
            TimeUnit.MILLISECONDS.sleep(delay.toMillis());
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        } finally {
            waiting.release();
        }
    }

    private Address of(String address) {
        return addresses.get(address, a -> new Address());
    }
}
