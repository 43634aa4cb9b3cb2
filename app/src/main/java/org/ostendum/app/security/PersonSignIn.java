package org.ostendum.app.security;

import java.util.Objects;
import java.util.Optional;
import org.ostendum.app.people.People;
import org.ostendum.core.people.Person;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/** Signs a person in by login and password. Only the login is kept in the session; the rest is read at each request. */
@Component
class PersonSignIn implements AuthenticationProvider {
    private final People people;
    private final PasswordEncoder encoder;
    private final SignInThrottle throttle;
    private final String nobodysHash;

    PersonSignIn(People people, PasswordEncoder encoder, SignInThrottle throttle) {
        this.people = people;
        this.encoder = encoder;
        this.throttle = throttle;
        this.nobodysHash = Objects.requireNonNull(encoder.encode("nobody"));
    }

    @Override
    public Authentication authenticate(Authentication attempt) {
        String login = attempt.getName();
        String address = attempt.getDetails() instanceof WebAuthenticationDetails details
                ? String.valueOf(details.getRemoteAddress())
                : "unknown";
        if (throttle.isBlocked(login, address)) {
            throw new LockedException("Too many tries");
        }
        Optional<String> hash = people.passwordHash(login);
        // A name that does not exist takes as long as one that does.
        boolean right = encoder.matches(String.valueOf(attempt.getCredentials()), hash.orElse(nobodysHash));
        Optional<Person> person = hash.isPresent() && right ? people.byLogin(login) : Optional.empty();
        if (person.isEmpty()) {
            throttle.failed(login, address);
            throw new BadCredentialsException("No such name and password");
        }
        throttle.succeeded(login);
        return UsernamePasswordAuthenticationToken.authenticated(
                person.get().login(),
                null,
                AuthorityUtils.createAuthorityList("ROLE_" + person.get().role().name()));
    }

    @Override
    public boolean supports(Class<?> kind) {
        return UsernamePasswordAuthenticationToken.class.isAssignableFrom(kind);
    }
}
