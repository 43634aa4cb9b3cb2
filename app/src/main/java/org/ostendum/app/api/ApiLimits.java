package org.ostendum.app.api;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.ostendum.app.page.Problem;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.UrlPathHelper;

/**
 * The body of a program's call has a limit, by what is read of it and not by what its head says. The path is taken as the
 * application will understand it, so that no spelling of it passes by.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class ApiLimits extends OncePerRequestFilter {
    /** A JSON object of ten years' weekly rounds has about half of this. */
    static final long MOST_JSON_BYTES = 4_000_000;
    /** A thousand batteries, each with two hundred chargers it goes on, have about 20 MB. */
    static final long MOST_PLAN_BYTES = 40_000_000;
    /** A million readings as CSV have about 60 MB. */
    static final long MOST_CSV_BYTES = 100_000_000;

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !path(request).startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = most(path(request));
        if (request.getContentLengthLong() > most) {
            refuse(response, most);
            return;
        }
        LimitedBody limited = new LimitedBody(request, most);
        try {
            chain.doFilter(limited, response);
        } finally {
            if (limited.isOver() && !response.isCommitted()) {
                response.reset();
                refuse(response, most);
            }
        }
    }

    private static long most(String path) {
        if (path.endsWith(".csv")) {
            return MOST_CSV_BYTES;
        }
        return path.equals("/api/v1/plan") ? MOST_PLAN_BYTES : MOST_JSON_BYTES;
    }

    private static void refuse(HttpServletResponse response, long most) throws IOException {
        // What is left of it is not read.
        response.setHeader("Connection", "close");
        Problem.answer(
                response, HttpStatus.CONTENT_TOO_LARGE, "", "The body is too large: allowed are " + most + " bytes.");
    }

    private static String path(HttpServletRequest request) {
        return UrlPathHelper.defaultInstance.getPathWithinApplication(request);
    }
}
