package org.ostendum.app.people;

import static org.assertj.core.api.Assertions.assertThat;

import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;

class PasswordsTest {
    private final Passwords passwords = new Passwords(PasswordEncoderFactories.createDelegatingPasswordEncoder());

    @ParameterizedTest
    @CsvSource({
        "'', fault.password.short",
        "ninechars, fault.password.short",
        "seven grey herons, ",
        "Zr4-kotelnik, ",
        "password2026!, fault.password.common",
        "Qwertyuiop, fault.password.common",
        "Forklift 123, fault.password.common",
        "my 123456 house, fault.password.common",
        "aaaaaaaaaaaa, fault.password.common",
        "hello tomlin-r world, fault.password.login",
        "hello r-nilmot world, fault.password.login",
    })
    void whatEverybodyTriesFirstIsRefused(String password, @Nullable String fault) {
        assertThat(passwords.fault(password, "tomlin-r").orElse(null)).isEqualTo(fault);
    }

    /** Seventy-two bytes, not letters: beyond them two passwords would be the same. */
    @Test
    void whatIsNotLookedAtIsNotTaken() {
        assertThat(passwords.fault("seven grey herons and an owl ".repeat(3).substring(0, 72), "tom"))
                .isEmpty();
        assertThat(passwords.fault("seven grey herons and an owl ".repeat(3).substring(0, 73), "tom"))
                .contains("fault.password.long");
        assertThat(passwords.fault("süße grüne hühner äßen ".repeat(3).substring(0, 60), "tom"))
                .contains("fault.password.long");
    }

    @Test
    void whatIsKeptIsNotThePassword() {
        String hash = passwords.hash("seven grey herons");
        assertThat(hash).doesNotContain("seven");
        assertThat(passwords.matches("seven grey herons", hash)).isTrue();
        assertThat(passwords.matches("seven grey heron", hash)).isFalse();
    }
}
