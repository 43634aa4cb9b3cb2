package org.ostendum.app.seal;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.Signature;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.ostendum.app.db.Sha256;
import org.ostendum.app.ledger.ChainHead;

/**
 * The heads of all chains at one moment, signed. A text of a few lines, so that it can be printed, mailed and compared by eye.
 *
 * @param previous hash of the seal before it; {@link #FIRST} for the first
 * @param signature over all that stands before it, Base64
 */
record Seal(Instant at, String previous, List<ChainHead> heads, String signature) {
    static final String FIRST = "none";

    private static final String TITLE = "Ostendum seal 1";
    private static final String SIGNED = "signed ";

    Seal {
        heads = List.copyOf(heads);
    }

    private static String text(ChainHead head) {
        return head.code() + " " + head.batteryId() + " " + head.seq() + " " + head.hash();
    }

    private static ChainHead head(String line) {
        String[] parts = line.split(" ", -1);
        return new ChainHead(parts[0], Long.parseLong(parts[1]), Integer.parseInt(parts[2]), parts[3]);
    }

    static Seal signed(Instant at, String previous, List<ChainHead> heads, PrivateKey key) {
        Seal unsigned = new Seal(at, previous, heads, "");
        try {
            Signature ed25519 = Signature.getInstance("Ed25519");
            ed25519.initSign(key);
            ed25519.update(unsigned.said().getBytes(StandardCharsets.UTF_8));
            return new Seal(at, previous, heads, Base64.getEncoder().encodeToString(ed25519.sign()));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("Every Java since 15 signs with Ed25519", e);
        }
    }

    /** @return whether it was signed with the key that belongs to this one, and nothing was changed since */
    boolean isSignedBy(PublicKey key) {
        try {
            Signature ed25519 = Signature.getInstance("Ed25519");
            ed25519.initVerify(key);
            ed25519.update(said().getBytes(StandardCharsets.UTF_8));
            return ed25519.verify(Base64.getDecoder().decode(signature));
        } catch (GeneralSecurityException | IllegalArgumentException e) {
            return false;
        }
    }

    private String said() {
        StringBuilder text = new StringBuilder(TITLE).append('\n');
        text.append("at ").append(at).append('\n');
        text.append("previous ").append(previous).append('\n');
        heads.forEach(head -> text.append(text(head)).append('\n'));
        return text.toString();
    }

    String text() {
        return said() + SIGNED + signature + "\n";
    }

    /** @return the seal; empty where the text is none */
    static Optional<Seal> read(String text) {
        List<String> lines = text.lines().toList();
        if (lines.size() < 4
                || !lines.get(0).equals(TITLE)
                || !lines.get(lines.size() - 1).startsWith(SIGNED)) {
            return Optional.empty();
        }
        try {
            List<ChainHead> heads = new ArrayList<>();
            lines.subList(3, lines.size() - 1).forEach(line -> heads.add(head(line)));
            Seal seal = new Seal(
                    Instant.parse(lines.get(1).substring("at ".length())),
                    lines.get(2).substring("previous ".length()),
                    heads,
                    lines.get(lines.size() - 1).substring(SIGNED.length()));
            return seal.text().equals(text) ? Optional.of(seal) : Optional.empty();
        } catch (DateTimeParseException | IndexOutOfBoundsException | NumberFormatException e) {
            return Optional.empty();
        }
    }

    /** By which the next one names it. */
    String hash() {
        return Sha256.hex(text());
    }
}
