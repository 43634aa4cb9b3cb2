package org.ostendum.app.api;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.ostendum.app.page.Problem;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** A program that has gone wild neither fills the memory nor holds up the people: bodies and calls have their limits. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class ApiLimits extends OncePerRequestFilter {
    /** A JSON object of ten years' weekly rounds has about half of this. */
    static final long MOST_JSON_BYTES = 4_000_000;
    /** A million readings as CSV have about 60 MB. */
    static final long MOST_CSV_BYTES = 100_000_000;

    private static final int CALLS_A_MINUTE = 600;

    private final Cache<String, Bucket> callers = Caffeine.newBuilder()
            .expireAfterAccess(Duration.ofMinutes(10))
            .maximumSize(10_000)
            .build();

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = request.getRequestURI().endsWith(".csv") ? MOST_CSV_BYTES : MOST_JSON_BYTES;
        boolean hasBody = request.getMethod().equals("POST");
        if (hasBody && request.getHeader("Transfer-Encoding") != null) {
            Problem.answer(
                    response, HttpStatus.LENGTH_REQUIRED, "Content-Length", "Send the body with its Content-Length.");
        } else if (hasBody && request.getContentLengthLong() > most) {
            Problem.answer(
                    response,
                    HttpStatus.CONTENT_TOO_LARGE,
                    "",
                    "The body has " + request.getContentLengthLong() + " bytes, allowed are " + most + ".");
        } else if (!bucket(request).tryConsume(1)) {
            response.setHeader("Retry-After", "10");
            Problem.answer(
                    response, HttpStatus.TOO_MANY_REQUESTS, "", "Allowed are " + CALLS_A_MINUTE + " calls a minute.");
        } else {
            chain.doFilter(request, response);
        }
    }

    private Bucket bucket(HttpServletRequest request) {
        String caller = request.getHeader("Authorization");
        return callers.get(caller == null ? request.getRemoteAddr() : caller, c -> Bucket.builder()
                .addLimit(limit -> limit.capacity(CALLS_A_MINUTE).refillGreedy(CALLS_A_MINUTE, Duration.ofMinutes(1)))
                .build());
    }
}
