package org.ostendum.core.measure;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/** Whether the gravities of a round can be relied on. Source of the reasons: IEEE 450, reading specific gravity. */
public final class Reliability {
    private Reliability() {}

    /**
     * @param mixed whether the last water had been mixed in by then; null where none is on record
     * @param chargeEnded when the last charge before it ended; null for none on record
     * @return every reason to doubt the round, empty when it is sound
     */
    public static List<Doubt> doubts(Round round, @Nullable Answer mixed, @Nullable Instant chargeEnded, Rules rules) {
        List<Doubt> doubts = new ArrayList<>();
        if (mixed == Answer.NO) {
            doubts.add(Doubt.AFTER_WATER);
        }
        if (stillGassing(round, chargeEnded, rules.duration(RuleKey.GASSING_WAIT))) {
            doubts.add(Doubt.GASSING);
        }
        Celsius coldest = round.coldest();
        if (coldest != null && coldest.compareTo(rules.celsius(RuleKey.TEMPERATURE_LEAST)) < 0) {
            doubts.add(Doubt.TOO_COLD);
        }
        Celsius warmest = round.warmest();
        if (warmest != null && warmest.compareTo(rules.celsius(RuleKey.TEMPERATURE_MOST)) > 0) {
            doubts.add(Doubt.TOO_HOT);
        }
        return doubts;
    }

    private static boolean stillGassing(Round round, @Nullable Instant ended, Duration wait) {
        return ended != null && Duration.between(ended, round.takenAt()).compareTo(wait) < 0;
    }
}
