package org.ostendum.core.voltage;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/** Voltages between the negative post and dirt on the lid: a path that drains the battery. Source: {@code inspect.top-leak}. */
public final class TopLeak {
    private TopLeak() {}

    /**
     * A place on the lid.
     *
     * @param cell over which the probe stood
     */
    public record Place(int cell, Volts volts) {}

    /** @return the places at or above the limit at which the top is washed */
    public static List<Place> leaks(List<Place> places, Rules rules) {
        int limit = rules.volts(RuleKey.TOP_LEAK).millivolts();
        return places.stream()
                .filter(p -> Math.abs(p.volts().millivolts()) >= limit)
                .toList();
    }

    public static Optional<Place> worst(List<Place> places) {
        return places.stream()
                .max(Comparator.comparingInt(p -> Math.abs(p.volts().millivolts())));
    }
}
