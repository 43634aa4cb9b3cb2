package org.ostendum.app.seal;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.util.Base64;

/**
 * The key by which seals are signed. Made at the first start, in a file of its own that the database does not hold and that may lie
 * on another disk; whoever has only the database cannot sign.
 */
final class SealKey {
    private static final String KIND = "Ed25519";
    /** Beside the seals lies the half by which anybody can check them. */
    private static final String PUBLIC = "seal.pub";

    private final PrivateKey secret;
    private final PublicKey open;

    private SealKey(PrivateKey secret, PublicKey open) {
        this.secret = secret;
        this.open = open;
    }

    static SealKey of(Path file, Path folder) {
        try {
            Path known = folder.resolve(PUBLIC);
            if (!Files.exists(file)) {
                make(file, known);
            }
            KeyFactory keys = KeyFactory.getInstance(KIND);
            return new SealKey(
                    keys.generatePrivate(new PKCS8EncodedKeySpec(decoded(Files.readString(file)))),
                    open(Files.readString(known)));
        } catch (IOException | GeneralSecurityException e) {
            throw new IllegalStateException("The key of the seals in " + file + " cannot be read or made", e);
        }
    }

    private static void make(Path file, Path known) throws IOException, GeneralSecurityException {
        KeyPair pair = KeyPairGenerator.getInstance(KIND).generateKeyPair();
        Files.createDirectories(file.toAbsolutePath().getParent());
        Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        Files.writeString(file, encoded(pair.getPrivate().getEncoded()));
        Files.writeString(known, encoded(pair.getPublic().getEncoded()));
    }

    static PublicKey open(String text) throws GeneralSecurityException {
        return KeyFactory.getInstance(KIND).generatePublic(new X509EncodedKeySpec(decoded(text)));
    }

    PrivateKey secret() {
        return secret;
    }

    PublicKey open() {
        return open;
    }

    String openText() {
        return encoded(open.getEncoded()).strip();
    }

    private static String encoded(byte[] key) {
        return Base64.getEncoder().encodeToString(key) + System.lineSeparator();
    }

    private static byte[] decoded(String text) {
        return Base64.getDecoder().decode(text.strip());
    }
}
