package org.ostendum.core.event;

import java.util.Arrays;
import java.util.Collection;
import java.util.Locale;
import java.util.Optional;

/** What speaks for a battery being full. Practice {@code charge.end}; the words of the first four are a contract with programs outside. */
public enum FullSign {
    /** Three hydrometer readings of one cell, an hour apart each, that agree. */
    EQUAL_GRAVITIES,
    /** At the finish the voltage has not risen for two hours. */
    STEADY_VOLTAGE,
    /** What was taken out is back, with the usual excess. */
    RETURNED,
    /** The charger says so: alone the weakest of all, and no evidence. */
    LAMP,
    /** A round read the battery inside its full window. */
    GRAVITY,
    /** All cells gassed for hours on a low current. */
    EQUALISED;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<FullSign> ofWord(String word) {
        return Arrays.stream(values()).filter(s -> s.word().equals(word)).findFirst();
    }

    /** @return whether they show that the battery is full: a lamp alone does not */
    public static boolean isEvidence(Collection<FullSign> signs) {
        return signs.stream().anyMatch(sign -> sign != LAMP);
    }
}
