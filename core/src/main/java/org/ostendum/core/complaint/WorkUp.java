package org.ostendum.core.complaint;

import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.ostendum.core.complaint.Look.Outcome;

/**
 * A complaint on the way to its cause. After each answer the causes are weighed anew by Bayes' rule, with looks taken as telling
 * independently of one another; the next look is the one that is expected to tell most (in bits) for its minutes.
 *
 * @param answers in the order in which they were given
 */
public record WorkUp(WorkUpTable table, Complaint complaint, Map<Look, Outcome> answers) {
    /** A cause this likely is taken as found. */
    public static final double FOUND = 0.95;

    /** A look that is expected to tell less is not worth the way to the battery. */
    private static final double LEAST_BITS = 0.02;

    public WorkUp {
        answers = Collections.unmodifiableMap(new LinkedHashMap<>(answers));
        answers.forEach((look, shown) -> {
            if (!look.outcomes().contains(shown)) {
                throw new IllegalArgumentException(look + " does not show " + shown + " but one of " + look.outcomes());
            }
        });
    }

    public static WorkUp of(Complaint complaint) {
        return new WorkUp(WorkUpTable.standard(), complaint, Map.of());
    }

    /** @throws IllegalArgumentException where the look shows no such thing */
    public WorkUp with(Look look, Outcome shown) {
        Map<Look, Outcome> more = new LinkedHashMap<>(answers);
        more.put(look, shown);
        return new WorkUp(table, complaint, more);
    }

    /** A cause with how likely it is, 0 to 1. */
    public record Likely(Cause cause, double part) {}

    /** @return every cause, the likeliest first; they sum to 1 */
    public List<Likely> causes() {
        return parts().entrySet().stream()
                .map(entry -> new Likely(entry.getKey(), entry.getValue()))
                .sorted(Comparator.comparingDouble((Likely likely) -> -likely.part())
                        .thenComparing(Likely::cause))
                .toList();
    }

    private Map<Cause, Double> parts() {
        Map<Cause, Double> parts = new EnumMap<>(table.priors(complaint));
        answers.forEach((look, shown) -> parts.replaceAll((cause, part) -> part * table.chance(look, cause, shown)));
        double sum = parts.values().stream().mapToDouble(Double::doubleValue).sum();
        parts.replaceAll((cause, part) -> part / sum);
        return parts;
    }

    /** @return whether a cause is as good as certain, or nothing is left that would tell more */
    public boolean isDone() {
        return next().isEmpty();
    }

    public boolean isFound() {
        return causes().get(0).part() >= FOUND;
    }

    /**
     * A look worth taking.
     *
     * @param bits that it is expected to tell
     */
    public record Worth(Look look, double bits) {
        public double bitsAMinute() {
            return bits / look.minutes();
        }
    }

    /** @return the look to take next; empty where the work-up is done */
    public Optional<Look> next() {
        return isFound() ? Optional.empty() : worth().stream().findFirst().map(Worth::look);
    }

    /** @return the looks not yet taken that would tell something, the best for its minutes first */
    public List<Worth> worth() {
        Map<Cause, Double> parts = parts();
        return Stream.of(Look.values())
                .filter(look -> !answers.containsKey(look))
                .map(look -> new Worth(look, bits(look, parts)))
                .filter(worth -> worth.bits() >= LEAST_BITS)
                .sorted(Comparator.comparingDouble((Worth worth) -> -worth.bitsAMinute())
                        .thenComparing(Worth::look))
                .toList();
    }

    /** By how much the look is expected to lessen what is not known of the cause. */
    private double bits(Look look, Map<Cause, Double> parts) {
        double left = 0;
        for (Outcome shown : look.outcomes()) {
            Map<Cause, Double> with = new EnumMap<>(Cause.class);
            parts.forEach((cause, part) -> with.put(cause, part * table.chance(look, cause, shown)));
            double chance =
                    with.values().stream().mapToDouble(Double::doubleValue).sum();
            with.replaceAll((cause, part) -> part / chance);
            left += chance * entropy(with);
        }
        return entropy(parts) - left;
    }

    private static double entropy(Map<Cause, Double> parts) {
        return parts.values().stream()
                .mapToDouble(part -> part <= 0 ? 0 : -part * Math.log(part) / Math.log(2))
                .sum();
    }

    /** @return of hands, for all looks taken */
    public int minutes() {
        return answers.keySet().stream().mapToInt(Look::minutes).sum();
    }
}
