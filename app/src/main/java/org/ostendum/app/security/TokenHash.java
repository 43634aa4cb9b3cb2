package org.ostendum.app.security;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Makes tokens and their hashes. A token is long and random, so that a fast keyed hash is enough; the key lies outside the
 * database, so that its hashes alone open nothing.
 */
@Component
public class TokenHash {
    private static final String ALGORITHM = "HmacSHA256";
    private static final int BYTES = 32;
    private static final String PREFIX = "ost_";

    private final SecureRandom random = new SecureRandom();
    private final byte[] key;

    /** @param key where none is set, a new one at each start: tokens then live no longer than the application runs */
    TokenHash(@Value("${ostendum.token-key:}") String key) {
        this.key = key.isBlank() ? bytes() : key.getBytes(StandardCharsets.UTF_8);
    }

    private byte[] bytes() {
        byte[] drawn = new byte[BYTES];
        random.nextBytes(drawn);
        return drawn;
    }

    /** @return a new token, to be shown once */
    public String make() {
        return PREFIX + Base64.getUrlEncoder().withoutPadding().encodeToString(bytes());
    }

    public String of(String token) {
        try {
            Mac mac = Mac.getInstance(ALGORITHM);
            mac.init(new SecretKeySpec(key, ALGORITHM));
            return HexFormat.of().formatHex(mac.doFinal(token.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("This Java has no " + ALGORITHM, e);
        }
    }
}
