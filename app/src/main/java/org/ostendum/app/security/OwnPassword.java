package org.ostendum.app.security;

import java.util.Optional;
import org.ostendum.app.people.Passwords;
import org.ostendum.app.people.People;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Component;

/** Whether it is really the person who is signed in: guesses at his password are counted as those of the sign-in are. */
@Component
public class OwnPassword {
    private final People people;
    private final Passwords passwords;
    private final SignInThrottle throttle;

    OwnPassword(People people, Passwords passwords, SignInThrottle throttle) {
        this.people = people;
        this.passwords = passwords;
        this.throttle = throttle;
    }

    /** @return whether it is his; empty where no more tries are taken for now */
    public Optional<Boolean> is(Person person, String typed) {
        String hash = people.passwordHash(person.id());
        return throttle.look(PersonSignIn.counted(person), () -> passwords.matches(typed, hash));
    }
}
