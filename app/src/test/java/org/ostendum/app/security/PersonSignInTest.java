package org.ostendum.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;

class PersonSignInTest {
    /** Or a name that does not exist would be told by the time the answer takes. */
    @Test
    void aNameThatDoesNotExistCostsWhatOneDoesThatDoes() {
        PasswordEncoder encoder = PasswordEncoderFactories.createDelegatingPasswordEncoder();
        String real = encoder.encode("seven grey herons");
        assertThat(PersonSignIn.NOBODYS_HASH)
                .startsWith(real.substring(0, "{bcrypt}$2a$10$".length()))
                .hasSameSizeAs(real);
        assertThat(encoder.upgradeEncoding(PersonSignIn.NOBODYS_HASH)).isFalse();
    }
}
