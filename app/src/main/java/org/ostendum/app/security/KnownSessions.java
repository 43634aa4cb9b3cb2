package org.ostendum.app.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Cookies of sessions that were found good a while ago, and whose they were: who comes with one is let in before anything is read of his request. */
@Component
class KnownSessions {
    private static final Duration KNOWN_FOR = Duration.ofHours(1);

    private final Cache<String, String> known = Caffeine.newBuilder()
            .expireAfterWrite(KNOWN_FOR)
            .maximumSize(10_000)
            .build();
    private final String cookie;

    KnownSessions(@Value("${server.servlet.session.cookie.name}") String cookie) {
        this.cookie = cookie;
    }

    void isOf(HttpServletRequest request, String login) {
        cookie(request).ifPresent(value -> known.put(value, login));
    }

    /** @return whose session it was; empty for a stranger */
    Optional<String> of(HttpServletRequest request) {
        return cookie(request).map(known::getIfPresent);
    }

    private Optional<String> cookie(HttpServletRequest request) {
        Cookie[] sent = request.getCookies();
        return sent == null
                ? Optional.empty()
                : Arrays.stream(sent)
                        .filter(c -> c.getName().equals(cookie))
                        .map(Cookie::getValue)
                        .findFirst();
    }
}
