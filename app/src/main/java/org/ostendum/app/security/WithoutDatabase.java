package org.ostendum.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.UrlPathHelper;

/** First aid and the sign-in are answered while the database is away: as to a stranger, for who it is nobody can say then. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class WithoutDatabase extends OncePerRequestFilter {
    private static final Set<String> ALWAYS = Set.of("/first-aid", "/first-aid/card", "/sign-in", "/error");
    /** By it the filter of sessions knows that it has seen a request, and lets it pass. */
    private static final String NO_SESSION = SessionRepositoryFilter.class.getName() + ".FILTERED";

    private final DatabasePulse database;

    WithoutDatabase(DatabasePulse database) {
        this.database = database;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("GET") || !ALWAYS.contains(path(request));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!database.isThere()) {
            request.setAttribute(NO_SESSION, true);
        }
        chain.doFilter(request, response);
    }

    private static String path(HttpServletRequest request) {
        return UrlPathHelper.defaultInstance.getPathWithinApplication(request);
    }
}
