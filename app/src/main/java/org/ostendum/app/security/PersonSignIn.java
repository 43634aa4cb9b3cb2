package org.ostendum.app.security;

import java.time.Clock;
import java.util.Locale;
import java.util.Optional;
import org.ostendum.app.people.People;
import org.ostendum.app.people.People.Entitled;
import org.ostendum.core.people.Person;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;

/** Signs a person in by login and password. Only who he is goes into the session; the rest is read at each request. */
final class PersonSignIn implements AuthenticationProvider {
    private final People people;
    private final PasswordEncoder encoder;
    private final String nobodysHash;
    private final SignInThrottle throttle;
    private final Clock clock;

    /**
     * @param nobodysHash with which a name is compared that does not exist
     * @param clock as that of {@link CurrentRights}
     */
    PersonSignIn(People people, PasswordEncoder encoder, String nobodysHash, SignInThrottle throttle, Clock clock) {
        this.people = people;
        this.encoder = encoder;
        this.nobodysHash = nobodysHash;
        this.throttle = throttle;
        this.clock = clock;
    }

    @Override
    public Authentication authenticate(Authentication attempt) {
        String address = attempt.getDetails() instanceof WebAuthenticationDetails details
                ? String.valueOf(details.getRemoteAddress())
                : "unknown";
        Optional<Entitled> found = people.entitled(attempt.getName());
        // By the person and not by the letters typed: the database finds him under look-alikes as well.
        String counted = found.map(f -> counted(f.person()))
                .orElseGet(() -> "name " + attempt.getName().toLowerCase(Locale.ROOT));
        if (!throttle.await(address)) {
            throw new LockedException("Too many tries");
        }
        // A name that does not exist takes as long as one that does.
        String hash = found.isEmpty()
                ? nobodysHash
                : people.passwordHash(found.get().person().id());
        Optional<Boolean> right = throttle.look(
                counted, () -> encoder.matches(String.valueOf(attempt.getCredentials()), hash) && found.isPresent());
        if (right.isEmpty()) {
            throw new LockedException("Too many tries");
        } else if (!right.get()) {
            throttle.failed(address);
            throw new BadCredentialsException("No such name and password");
        }
        return signedIn(found.orElseThrow());
    }

    /** Under which tries for a person are counted. */
    static String counted(Person person) {
        return "person " + person.id();
    }

    /** The sign-in of a person as his session keeps it. */
    Authentication signedIn(Entitled person) {
        return UsernamePasswordAuthenticationToken.authenticated(
                new SignedIn(person.person().login(), person.accessVersion(), clock.instant()),
                null,
                CurrentRights.rights(person.person().role()));
    }

    @Override
    public boolean supports(Class<?> kind) {
        return UsernamePasswordAuthenticationToken.class.isAssignableFrom(kind);
    }
}
