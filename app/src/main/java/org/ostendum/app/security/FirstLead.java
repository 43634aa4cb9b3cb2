package org.ostendum.app.security;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.Base64;
import org.ostendum.app.people.Passwords;
import org.ostendum.app.people.People;
import org.ostendum.core.people.Role;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Gives an empty site its first lead, with a password that is told once; the demo brings people of its own. */
@Component
class FirstLead implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(FirstLead.class);

    private final People people;
    private final Passwords passwords;
    private final boolean demo;
    private final Path file;

    /** @param file into which the password is written, for the one who starts the application */
    FirstLead(
            People people,
            Passwords passwords,
            @Value("${ostendum.demo}") boolean demo,
            @Value("${ostendum.sign-in.first}") Path file) {
        this.people = people;
        this.passwords = passwords;
        this.demo = demo;
        this.file = file;
    }

    /** Into a file of its own that nobody else may read: what stands in a log is copied to many places. */
    private void write(String password) throws IOException {
        Files.createDirectories(file.toAbsolutePath().getParent());
        Files.deleteIfExists(file);
        Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        Files.writeString(file, "lead " + password + System.lineSeparator());
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        if (!demo && people.isEmpty()) {
            byte[] chance = new byte[12];
            new SecureRandom().nextBytes(chance);
            String password = Base64.getUrlEncoder().withoutPadding().encodeToString(chance);
            write(password);
            people.add("lead", "Lead", Role.LEAD, passwords.hash(password));
            LOG.info("The first sign-in, lead, has its password in {}; sign in, change it, and delete the file", file);
        }
    }
}
