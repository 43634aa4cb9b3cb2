package org.ostendum.app.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.time.Duration;
import java.util.Set;
import java.util.concurrent.Semaphore;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;

/**
 * Somebody who sends a body drop by drop holds a thread while he does. Strangers hold few of them, from one address and in all;
 * people who have signed in are not counted, so that nobody outside keeps them from working. A valve, for only the server can hang
 * up on a body that never comes.
 */
final class StrangersAtOnce extends ValveBase {
    static final int FROM_ONE_ADDRESS = 16;
    /** Of the threads that {@code server.tomcat.threads.max} gives. */
    static final int IN_ALL = 80;

    private static final Set<String> WITHOUT_BODY = Set.of(HttpMethod.GET.name(), HttpMethod.HEAD.name());

    private final KnownSessions sessions;
    private final Semaphore all = new Semaphore(IN_ALL);
    private final Cache<String, Semaphore> addresses = Caffeine.newBuilder()
            .expireAfterAccess(Duration.ofHours(1))
            .maximumSize(100_000)
            .build();

    StrangersAtOnce(KnownSessions sessions) {
        super(true);
        this.sessions = sessions;
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        if (WITHOUT_BODY.contains(request.getMethod()) || sessions.isKnown(request)) {
            getNext().invoke(request, response);
            return;
        }
        Semaphore address = addresses.get(request.getRemoteAddr(), a -> new Semaphore(FROM_ONE_ADDRESS));
        if (!address.tryAcquire()) {
            hangUp(request, response);
        } else if (!all.tryAcquire()) {
            address.release();
            hangUp(request, response);
        } else {
            try {
                getNext().invoke(request, response);
            } finally {
                all.release();
                address.release();
            }
        }
    }

    /** What is still to come of the request would be waited for otherwise. */
    private static void hangUp(Request request, Response response) throws IOException {
        response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
        response.setHeader(HttpHeaders.RETRY_AFTER, "5");
        response.setHeader(HttpHeaders.CONNECTION, "close");
        response.flushBuffer();
        request.getCoyoteRequest().action(ActionCode.CLOSE_NOW, null);
    }
}
