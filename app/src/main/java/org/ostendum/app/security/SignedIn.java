package org.ostendum.app.security;

import java.io.Serializable;
import java.time.Instant;
import org.springframework.security.core.AuthenticatedPrincipal;

/**
 * Who a session belongs to. Nothing in it gives a right: that is read at each request.
 *
 * @param accessVersion of the person at the sign-in; another one ends the session
 * @param since when he signed in
 */
record SignedIn(String login, int accessVersion, Instant since) implements AuthenticatedPrincipal, Serializable {
    @Override
    public String getName() {
        return login;
    }
}
