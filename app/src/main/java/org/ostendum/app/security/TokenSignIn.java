package org.ostendum.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.ostendum.app.page.Problem;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.web.filter.OncePerRequestFilter;

/** Signs a program in by its token. */
final class TokenSignIn extends OncePerRequestFilter {
    private static final String BEARER = "Bearer ";
    /** What keeps nothing is open to a token that only reads. */
    private static final List<String> KEEPING_NOTHING = List.of("/api/v1/judge", "/api/v1/sums/");

    private static final Set<String> READING = Set.of(HttpMethod.GET.name(), HttpMethod.HEAD.name());

    private final Tokens tokens;
    private final TokenHash hash;

    TokenSignIn(Tokens tokens, TokenHash hash) {
        this.tokens = tokens;
        this.hash = hash;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String header = request.getHeader("Authorization");
        if (header == null || !header.startsWith(BEARER)) {
            chain.doFilter(request, response);
            return;
        }
        Optional<Tokens.Bearer> bearer =
                tokens.bearer(hash.of(header.substring(BEARER.length()).strip()));
        if (bearer.isEmpty()) {
            Problem.answer(
                    response,
                    HttpStatus.UNAUTHORIZED,
                    "Authorization",
                    "This token is not in force. Make a new one under your name.");
        } else if (!bearer.get().writes() && !onlyReads(request)) {
            Problem.answer(
                    response,
                    HttpStatus.FORBIDDEN,
                    "Authorization",
                    "This token only reads. Make one that writes under your name.");
        } else {
            signIn(bearer.get());
            chain.doFilter(request, response);
        }
    }

    private static boolean onlyReads(HttpServletRequest request) {
        return READING.contains(request.getMethod())
                || KEEPING_NOTHING.stream().anyMatch(request.getServletPath()::startsWith);
    }

    private void signIn(Tokens.Bearer bearer) {
        tokens.used(bearer);
        SecurityContextHolder.setContext(new SecurityContextImpl(UsernamePasswordAuthenticationToken.authenticated(
                bearer.login(),
                null,
                AuthorityUtils.createAuthorityList("ROLE_" + bearer.role().name()))));
    }
}
