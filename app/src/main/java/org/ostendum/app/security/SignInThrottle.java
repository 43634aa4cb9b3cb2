package org.ostendum.app.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/** Counts failed sign-ins by name and by address, and lets neither try on after too many. */
@Component
public class SignInThrottle {
    static final int TRIES_BY_NAME = 5;
    static final int TRIES_BY_ADDRESS = 30;
    static final Duration WAIT = Duration.ofMinutes(10);

    private final Cache<String, Integer> failures;

    SignInThrottle(Clock clock) {
        Ticker ticker = () -> TimeUnit.MILLISECONDS.toNanos(clock.millis());
        this.failures = Caffeine.newBuilder()
                .expireAfterWrite(WAIT)
                .maximumSize(100_000)
                .ticker(ticker)
                .build();
    }

    boolean isBlocked(String login, String address) {
        return count(byName(login)) >= TRIES_BY_NAME || count(byAddress(address)) >= TRIES_BY_ADDRESS;
    }

    void failed(String login, String address) {
        failures.asMap().merge(byName(login), 1, Integer::sum);
        failures.asMap().merge(byAddress(address), 1, Integer::sum);
    }

    void succeeded(String login) {
        failures.invalidate(byName(login));
    }

    private int count(String key) {
        Integer count = failures.getIfPresent(key);
        return count == null ? 0 : count;
    }

    private static String byName(String login) {
        return "name " + login.toLowerCase(Locale.ROOT);
    }

    private static String byAddress(String address) {
        return "address " + address;
    }
}
