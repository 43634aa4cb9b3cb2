package org.ostendum.core.complaint;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.complaint.Look.Outcome;

/** How likely each cause is for each complaint, and what each look shows with each cause. */
public final class WorkUpTable {
    private static final String FILE = "work-up.txt";
    private static final String ANY = "*";
    /** However sure a site is of some causes, the others are never ruled out before anybody has looked. */
    private static final double LEAST_REST = 0.01;

    private static final WorkUpTable STANDARD = read(text());

    private final String version;
    private final Map<Complaint, Map<Cause, Double>> priors;
    private final Map<Look, Map<Cause, Map<Outcome, Double>>> shows;

    private WorkUpTable(
            String version,
            Map<Complaint, Map<Cause, Double>> priors,
            Map<Look, Map<Cause, Map<Outcome, Double>>> shows) {
        this.version = version;
        this.priors = priors;
        this.shows = shows;
    }

    /** @return the one that ships, in the file {@value #FILE} beside this class */
    public static WorkUpTable standard() {
        return STANDARD;
    }

    public String version() {
        return version;
    }

    /** @return by cause, summing to 1 */
    public Map<Cause, Double> priors(Complaint complaint) {
        return Objects.requireNonNull(priors.get(complaint));
    }

    /** @return chance that the look shows that with the cause, above 0 and below 1 */
    public double chance(Look look, Cause cause, Outcome shown) {
        Map<Outcome, Double> all =
                Objects.requireNonNull(Objects.requireNonNull(shows.get(look)).get(cause));
        return all.getOrDefault(shown, 0.0);
    }

    /**
     * A site's own counting.
     *
     * @param counted by cause, the part of all such complaints, 0 to 1; the causes not named share what is left as they did before
     * @return the same table with other causes likely
     */
    public WorkUpTable withPriors(Map<Complaint, Map<Cause, Double>> counted) {
        Map<Complaint, Map<Cause, Double>> others = new EnumMap<>(priors);
        counted.forEach((complaint, own) -> others.put(complaint, mixed(priors(complaint), own)));
        return new WorkUpTable(version, others, shows);
    }

    /**
     * What a site has found its looks to show.
     *
     * @param counted by look and cause, the part of each thing the look can show; nothing is ever taken as impossible
     * @return the same table with those lines in place of its own
     * @throws IllegalArgumentException where a line does not name all that its look can show
     */
    public WorkUpTable withShows(Map<Look, Map<Cause, Map<Outcome, Double>>> counted) {
        Map<Look, Map<Cause, Map<Outcome, Double>>> others = new EnumMap<>(shows);
        counted.forEach((look, byCause) -> {
            Map<Cause, Map<Outcome, Double>> own = new EnumMap<>(Objects.requireNonNull(shows.get(look)));
            byCause.forEach((cause, parts) -> own.put(cause, possible(look, cause, parts)));
            others.put(look, own);
        });
        return new WorkUpTable(version, priors, others);
    }

    private static Map<Outcome, Double> possible(Look look, Cause cause, Map<Outcome, Double> parts) {
        Map<Outcome, Double> possible = new EnumMap<>(namesAll(look, cause, parts));
        possible.replaceAll((outcome, part) -> Math.max(LEAST_REST, part));
        return toOne(possible);
    }

    private static Map<Outcome, Double> namesAll(Look look, Cause cause, @Nullable Map<Outcome, Double> parts) {
        if (parts == null || !parts.keySet().equals(Set.copyOf(look.outcomes()))) {
            throw new IllegalArgumentException("Not every outcome is named of " + look + " with " + cause);
        }
        return parts;
    }

    private static Map<Cause, Double> mixed(Map<Cause, Double> shipped, Map<Cause, Double> own) {
        double named = own.values().stream().mapToDouble(Double::doubleValue).sum();
        double rest = shipped.entrySet().stream()
                .filter(entry -> !own.containsKey(entry.getKey()))
                .mapToDouble(Map.Entry::getValue)
                .sum();
        Map<Cause, Double> mixed = new EnumMap<>(Cause.class);
        shipped.forEach((cause, part) ->
                mixed.put(cause, own.getOrDefault(cause, part / rest * Math.max(LEAST_REST, 1 - named))));
        return toOne(mixed);
    }

    private static String text() {
        try (InputStream in = Objects.requireNonNull(WorkUpTable.class.getResourceAsStream(FILE))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws IllegalArgumentException where something is missing, unknown, or named twice; it names the line */
    static WorkUpTable read(String text) {
        Map<Complaint, Map<Cause, Double>> priors = new EnumMap<>(Complaint.class);
        Map<String, Map<Outcome, Double>> lines = new HashMap<>();
        String version = "";
        for (String line : text.lines().toList()) {
            List<String> words = List.of(line.strip().split("\\s+"));
            switch (words.get(0)) {
                case "version" -> version = words.get(1);
                case "prior" ->
                    once(
                            priors,
                            Complaint.valueOf(words.get(1)),
                            weights(words.subList(2, words.size()), Cause.class),
                            line);
                case "shows" ->
                    once(
                            lines,
                            words.get(1) + " " + words.get(2),
                            weights(words.subList(3, words.size()), Outcome.class),
                            line);
                default -> {
                    if (!line.isBlank() && !line.startsWith("#")) {
                        throw new IllegalArgumentException("Not understood: " + line);
                    }
                }
            }
        }
        return new WorkUpTable(version, whole(priors), shows(lines));
    }

    private static <K, V> void once(Map<K, V> map, K key, V value, String line) {
        if (map.put(key, value) != null) {
            throw new IllegalArgumentException("Named twice: " + line);
        }
    }

    private static <E extends Enum<E>> Map<E, Double> weights(List<String> words, Class<E> kind) {
        Map<E, Double> weights = new LinkedHashMap<>();
        for (String word : words) {
            int equals = word.indexOf('=');
            once(
                    weights,
                    Enum.valueOf(kind, word.substring(0, equals)),
                    Double.parseDouble(word.substring(equals + 1)),
                    word);
        }
        return toOne(weights);
    }

    private static <K> Map<K, Double> toOne(Map<K, Double> weights) {
        double sum = weights.values().stream().mapToDouble(Double::doubleValue).sum();
        if (!(sum > 0)) {
            throw new IllegalArgumentException("Weighs nothing: " + weights);
        }
        Map<K, Double> parts = new LinkedHashMap<>();
        weights.forEach((key, weight) -> parts.put(key, weight / sum));
        return parts;
    }

    private static Map<Complaint, Map<Cause, Double>> whole(Map<Complaint, Map<Cause, Double>> priors) {
        for (Complaint complaint : Complaint.values()) {
            Map<Cause, Double> own = priors.get(complaint);
            if (own == null || own.size() != Cause.values().length) {
                throw new IllegalArgumentException("Not every cause is named for " + complaint);
            }
        }
        return priors;
    }

    private static Map<Look, Map<Cause, Map<Outcome, Double>>> shows(Map<String, Map<Outcome, Double>> lines) {
        Map<Look, Map<Cause, Map<Outcome, Double>>> shows = new EnumMap<>(Look.class);
        for (Look look : Look.values()) {
            Map<Cause, Map<Outcome, Double>> byCause = new EnumMap<>(Cause.class);
            for (Cause cause : Cause.values()) {
                Map<Outcome, Double> own = lines.getOrDefault(look + " " + cause, lines.get(look + " " + ANY));
                byCause.put(cause, namesAll(look, cause, own));
            }
            shows.put(look, byCause);
        }
        return shows;
    }
}
