package org.ostendum.app.security;

import java.util.Map;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** How passwords are hashed: by bcrypt, whose work doubles with each step of its strength. */
final class PasswordHashes {
    private static final String KIND = "bcrypt";

    private PasswordHashes() {}

    /** @param strength 4 to 31 */
    static PasswordEncoder encoder(int strength) {
        return new DelegatingPasswordEncoder(KIND, Map.of(KIND, new BCryptPasswordEncoder(strength)));
    }

    /** Of a random text nobody knows, with as much work to compare as any other: making it anew would cost a twentieth of every start. */
    static String nobodys(int strength) {
        return "{bcrypt}$2a$%02d$TzPFI23smJUz7vh5JBsb0.3tkkRw6drukhDzITuMaZh.LM32Uasoq".formatted(strength);
    }
}
