package org.ostendum.app.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;

/**
 * Somebody who sends a body drop by drop holds a thread while he does. A person who has signed in holds few of them, strangers few
 * from one address and in all, so that nobody keeps the others from working. A valve, for only the server can hang up on a body
 * that never comes.
 */
final class BodiesAtOnce extends ValveBase {
    static final int OF_ONE_PERSON = 16;
    static final int FROM_ONE_ADDRESS = 16;
    /** Of the threads that {@code server.tomcat.threads.max} gives. */
    static final int OF_STRANGERS = 80;

    /** As much as the server itself would read. */
    private static final long READ_OUT_AT_MOST = 2 << 20;

    private final KnownSessions sessions;
    private final Semaphore strangers = new Semaphore(OF_STRANGERS);
    private final Cache<String, Semaphore> people = counted();
    private final Cache<String, Semaphore> addresses = counted();

    BodiesAtOnce(KnownSessions sessions) {
        super(true);
        this.sessions = sessions;
    }

    private static Cache<String, Semaphore> counted() {
        return Caffeine.newBuilder()
                .expireAfterAccess(Duration.ofHours(1))
                .maximumSize(100_000)
                .build();
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        if (!hasBody(request)) {
            getNext().invoke(request, response);
            return;
        }
        Optional<String> person = sessions.of(request);
        if (person.isPresent()) {
            Semaphore ofPerson = people.get(person.get(), p -> new Semaphore(OF_ONE_PERSON));
            within(ofPerson, request, response, () -> getNext().invoke(request, response));
        } else {
            Semaphore address = addresses.get(request.getRemoteAddr(), a -> new Semaphore(FROM_ONE_ADDRESS));
            within(
                    address,
                    request,
                    response,
                    () -> within(strangers, request, response, () -> getNext().invoke(request, response)));
        }
    }

    /** Also of a request that should have none: what is left of it is read before the next one. */
    private static boolean hasBody(Request request) {
        return request.getContentLengthLong() > 0 || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
    }

    /** The rest of the way. */
    private interface Rest {
        void go() throws IOException, ServletException;
    }

    private static void within(Semaphore most, Request request, Response response, Rest rest)
            throws IOException, ServletException {
        if (!most.tryAcquire()) {
            hangUp(request, response);
            return;
        }
        try {
            rest.go();
            readOut(request, response);
        } finally {
            most.release();
        }
    }

    /** What nobody has read of a body the server reads after the answer: it is done here, where it counts. */
    private static void readOut(Request request, Response response) throws IOException {
        if (request.isAsync() || request.isFinished()) {
            return;
        }
        response.finishResponse();
        // With the answer the application's own stream is closed: what is left is read where the server itself would
        // read it.
        Piece piece = new Piece();
        long read = 0;
        for (int more = 0; more >= 0; more = request.getCoyoteRequest().doRead(piece)) {
            read += more;
            if (read > READ_OUT_AT_MOST) {
                request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
                return;
            }
        }
    }

    /** What is read here nobody wants. */
    private static final class Piece implements ApplicationBufferHandler {
        private ByteBuffer bytes = ByteBuffer.allocate(0);

        @Override
        public void setByteBuffer(ByteBuffer buffer) {
            bytes = buffer;
        }

        @Override
        public ByteBuffer getByteBuffer() {
            return bytes;
        }

        @Override
        public void expand(int size) {
            // Nothing is put together out of pieces.
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
