package org.ostendum.app.security;

import java.security.SecureRandom;
import java.util.Base64;
import java.util.Objects;
import org.ostendum.app.people.People;
import org.ostendum.core.people.Role;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Gives an empty site its first lead, with a password that is told once. */
@Component
@ConditionalOnProperty(name = "ostendum.demo", havingValue = "false")
class FirstLead implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(FirstLead.class);

    private final People people;
    private final PasswordEncoder encoder;

    FirstLead(People people, PasswordEncoder encoder) {
        this.people = people;
        this.encoder = encoder;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (people.isEmpty()) {
            byte[] chance = new byte[12];
            new SecureRandom().nextBytes(chance);
            String password = Base64.getUrlEncoder().withoutPadding().encodeToString(chance);
            people.add("lead", "Lead", Role.LEAD, Objects.requireNonNull(encoder.encode(password)));
            LOG.info("First sign-in: lead, password {} (change it under Setup, People)", password);
        }
    }
}
