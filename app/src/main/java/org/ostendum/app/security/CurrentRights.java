package org.ostendum.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.ostendum.app.page.CurrentPerson;
import org.ostendum.app.people.People;
import org.ostendum.app.people.People.Entitled;
import org.ostendum.core.people.Role;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.authentication.logout.SecurityContextLogoutHandler;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Reads at each request what the person of a session may do. A session whose person has another role or password since, may no
 * longer sign in, or signed in too long ago, ends here.
 */
final class CurrentRights extends OncePerRequestFilter {
    private final People people;
    private final KnownSessions sessions;
    private final Clock clock;
    private final Duration longest;

    /**
     * @param clock by which people live, not the one that a demo may let run faster
     * @param longest that a sign-in holds, however busy its session is
     */
    CurrentRights(People people, KnownSessions sessions, Clock clock, Duration longest) {
        this.people = people;
        this.sessions = sessions;
        this.clock = clock;
        this.longest = longest;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getRequestURI().startsWith("/static/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication session = SecurityContextHolder.getContext().getAuthentication();
        if (session != null && !(session instanceof AnonymousAuthenticationToken)) {
            Optional<Entitled> entitled = people.entitled(session.getName()).filter(e -> stillHolds(session, e));
            if (entitled.isEmpty()) {
                new SecurityContextLogoutHandler().logout(request, response, session);
            } else {
                sessions.isOf(request, session.getName());
                request.setAttribute(CurrentPerson.READ, entitled.get().person());
                SecurityContextHolder.setContext(new SecurityContextImpl(
                        withRightsOf(session, entitled.get().person().role())));
            }
        }
        chain.doFilter(request, response);
    }

    private boolean stillHolds(Authentication session, Entitled person) {
        return !(session.getPrincipal() instanceof SignedIn signedIn)
                || (signedIn.accessVersion() == person.accessVersion()
                        && signedIn.since().plus(longest).isAfter(clock.instant()));
    }

    private static Authentication withRightsOf(Authentication session, Role role) {
        return UsernamePasswordAuthenticationToken.authenticated(
                Objects.requireNonNull(session.getPrincipal()), null, rights(role));
    }

    static List<GrantedAuthority> rights(Role role) {
        return AuthorityUtils.createAuthorityList("ROLE_" + role.name());
    }
}
