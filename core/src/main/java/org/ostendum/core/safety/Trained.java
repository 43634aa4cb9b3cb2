package org.ostendum.core.safety;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/**
 * What one person has been trained in.
 *
 * @param heldOn the last training of each kind
 */
public record Trained(Map<Training, LocalDate> heldOn) {
    public static final Trained NOTHING = new Trained(Map.of());

    public Trained {
        heldOn = Map.copyOf(heldOn);
    }

    /** @return last day on which a training counts; null when it was never held */
    public @Nullable LocalDate until(Training training, Rules rules) {
        LocalDate held = heldOn.get(training);
        return held == null
                ? null
                : held.plusDays(rules.duration(RuleKey.TRAINING_VALIDITY).toDays());
    }

    public boolean counts(Training training, LocalDate today, Rules rules) {
        LocalDate until = until(training, rules);
        return until != null && !until.isBefore(today);
    }

    /** @return the same with a training held on a day, the latest day of each kind kept */
    public Trained with(Training training, LocalDate day) {
        Map<Training, LocalDate> all = new EnumMap<>(Training.class);
        all.putAll(heldOn);
        all.merge(training, day, (a, b) -> a.isAfter(b) ? a : b);
        return new Trained(all);
    }
}
