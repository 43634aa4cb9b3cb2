package org.ostendum.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.security.crypto.password.PasswordEncoder;

class PasswordHashesTest {
    /** Or a name that does not exist would be told by the time the answer takes. */
    @ParameterizedTest
    @ValueSource(ints = {4, 10})
    void aNameThatDoesNotExistCostsWhatOneDoesThatDoes(int strength) {
        PasswordEncoder encoder = PasswordHashes.encoder(strength);
        String real = encoder.encode("seven grey herons");
        String nobodys = PasswordHashes.nobodys(strength);
        assertThat(nobodys)
                .startsWith(real.substring(0, "{bcrypt}$2a$10$".length()))
                .hasSameSizeAs(real);
        assertThat(encoder.upgradeEncoding(nobodys)).isFalse();
        assertThat(encoder.matches("seven grey herons", nobodys)).isFalse();
    }
}
