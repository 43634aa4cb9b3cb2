package org.ostendum.app.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.people.Role;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.savedrequest.RequestCache;

/** After the sign-in: what was asked for, or else the screen with which each role begins. */
class FirstScreen extends SavedRequestAwareAuthenticationSuccessHandler {
    FirstScreen(RequestCache asked) {
        setRequestCache(asked);
    }

    @Override
    protected String determineTargetUrl(
            HttpServletRequest request, HttpServletResponse response, @Nullable Authentication person) {
        Set<String> rights = person == null ? Set.of() : AuthorityUtils.authorityListToSet(person.getAuthorities());
        if (rights.contains("ROLE_" + Role.TECHNICIAN) || rights.contains("ROLE_" + Role.MECHANIC)) {
            return "/mine";
        }
        return rights.contains("ROLE_" + Role.SAFETY) ? "/safety" : "/";
    }
}
