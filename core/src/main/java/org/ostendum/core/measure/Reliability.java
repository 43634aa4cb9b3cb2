package org.ostendum.core.measure;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/** Whether the gravities of a round can be relied on. Source of the reasons: IEEE 450, reading specific gravity. */
public final class Reliability {
    private Reliability() {}

    /**
     * @param before what had happened to the battery when the round was taken
     * @return every reason to doubt the round, empty when it is sound
     */
    public static List<Doubt> doubts(Round round, Happenings before, Rules rules) {
        List<Doubt> doubts = new ArrayList<>();
        if (before.water() != null && before.chargesSinceWater() < rules.count(RuleKey.CHARGES_AFTER_WATER)) {
            doubts.add(Doubt.AFTER_WATER);
        }
        if (stillGassing(round, before, rules.duration(RuleKey.GASSING_WAIT))) {
            doubts.add(Doubt.GASSING);
        }
        if (temperatures(round).anyMatch(t -> t.compareTo(rules.celsius(RuleKey.TEMPERATURE_LEAST)) < 0)) {
            doubts.add(Doubt.TOO_COLD);
        }
        if (temperatures(round).anyMatch(t -> t.compareTo(rules.celsius(RuleKey.TEMPERATURE_MOST)) > 0)) {
            doubts.add(Doubt.TOO_HOT);
        }
        return doubts;
    }

    private static boolean stillGassing(Round round, Happenings before, Duration wait) {
        return Stream.of(before.chargeEnd(), before.equaliseEnd())
                .filter(Objects::nonNull)
                .anyMatch(end -> Duration.between(end, round.takenAt()).compareTo(wait) < 0);
    }

    private static Stream<Celsius> temperatures(Round round) {
        return Stream.concat(
                        Stream.ofNullable(round.temperature()),
                        round.readings().stream().map(CellReading::temperature))
                .filter(Objects::nonNull);
    }
}
