package org.ostendum.app.seal;

import java.io.BufferedReader;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.PublicKey;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.ledger.WrittenLine;
import org.ostendum.app.seal.SealFiles.Kept;
import org.ostendum.core.event.EntryKind;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** Checks an exported past with nothing but its file, and for who wants to be sure the public key known from elsewhere. */
public final class Verify {
    private final Map<Long, List<WrittenLine>> chains = new LinkedHashMap<>();
    private final Map<Long, String> codes = new LinkedHashMap<>();
    private final List<Kept> seals = new ArrayList<>();
    private @Nullable String key;

    private Verify() {}

    /** @param arguments the file, and the public key where it shall not be taken from the file */
    public static void main(String[] arguments) throws IOException {
        if (arguments.length < 1) {
            System.err.println("ostendum: say which file: ./ostendum verify FILE [PUBLIC KEY]");
            System.exit(2);
        }
        List<String> said = of(Path.of(arguments[0]), arguments.length > 1 ? arguments[1] : null);
        said.forEach(line -> System.out.println("ostendum: " + line));
        System.exit(said.size() == 1 ? 0 : 1);
    }

    /**
     * @param known the public key; null for the one in the file
     * @return what is wrong, and last what was looked at; one sentence where all is as it was written
     */
    static List<String> of(Path file, @Nullable String known) throws IOException {
        Verify verify = new Verify();
        try (BufferedReader lines = Files.newBufferedReader(file)) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                verify.take(Payload.read(line));
            }
        } catch (JacksonException | IllegalArgumentException | java.time.DateTimeException e) {
            return List.of("this is no past exported by Ostendum, or it is cut short", "nothing was checked");
        }
        try {
            return verify.said(known);
        } catch (GeneralSecurityException | IllegalArgumentException e) {
            return List.of("the public key is none", "nothing was checked");
        }
    }

    private void take(JsonNode node) {
        if (node.has("key")) {
            key = node.path("key").asString();
        } else if (node.has("seal")) {
            seals.add(new Kept(
                    node.path("day").asString(), Seal.read(node.path("seal").asString())));
        } else {
            long battery = node.path("batteryId").asLong();
            codes.put(battery, node.path("battery").asString());
            chains.computeIfAbsent(battery, b -> new ArrayList<>()).add(line(battery, node));
        }
    }

    private static WrittenLine line(long battery, JsonNode node) {
        return new WrittenLine(
                battery,
                node.path("seq").asInt(),
                Instant.parse(node.path("recordedAt").asString()),
                new NewEntry(
                        EntryKind.valueOf(node.path("kind").asString()),
                        Instant.parse(node.path("happenedAt").asString()),
                        node.path("personId").asLong(),
                        node.has("cell") ? (Integer) node.path("cell").asInt() : null,
                        node.has("quantity")
                                ? new BigDecimal(node.path("quantity").asString())
                                : null,
                        node.has("correctsId") ? (Long) node.path("correctsId").asLong() : null,
                        node.path("payload").asString()),
                node.path("previous").asString(),
                node.path("hash").asString());
    }

    private List<String> said(@Nullable String known) throws GeneralSecurityException {
        String by =
                Optional.ofNullable(known).or(() -> Optional.ofNullable(key)).orElse("");
        if (by.isEmpty()) {
            return List.of("there is no seal in it: a past that was shortened would not show", looked(0));
        }
        PublicKey open = SealKey.open(by);
        SealCheck check = new SealCheck(seals, open);
        chains.forEach((battery, chain) -> check.take(String.valueOf(codes.get(battery)), battery, chain));
        List<String> said = new ArrayList<>();
        check.problems().forEach(problem -> said.add(sentence(problem)));
        said.add(looked(check.lines()));
        return said;
    }

    private String looked(int lines) {
        return lines + " lines of " + chains.size() + " batteries held against " + seals.size() + " seals";
    }

    /** Said in a terminal, where there is no bundle of texts. */
    private static String sentence(SealProblem problem) {
        Object[] a = problem.arguments().toArray();
        return switch (problem.key()) {
            case "seal.forged" -> "the seal of " + a[0] + " was not signed with this key, or was changed";
            case "seal.missing" -> "before the seal of " + a[0] + " one is missing";
            case "seal.gone" -> a[0] + ": line " + a[1] + ", sealed on " + a[2] + ", is gone";
            case "seal.rewritten" -> a[0] + ": line " + a[1] + " is not the one that was sealed on " + a[2];
            default -> a[0] + ": line " + a[1] + " is not as it was written";
        };
    }
}
