package org.ostendum.core.event;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** How a charge ended; the words are a contract with programs outside. */
public enum Ending {
    /** It was charged to its end, on evidence that stands beside it. */
    FULL,
    /** Somebody took it off before its end. */
    ENDED_EARLY,
    /** It was stopped for danger: heat, smell, spray. */
    STOPPED,
    /** It ended by itself before its end: power gone, plug pulled, charger broken. */
    BROKEN_OFF,
    /** Nobody has said; old records and plain lists have no more. */
    UNSTATED;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** @return empty for an unknown word; {@link #UNSTATED} has none that a program may send */
    public static Optional<Ending> ofWord(String word) {
        return Arrays.stream(values())
                .filter(e -> e != UNSTATED && e.word().equals(word))
                .findFirst();
    }

    /** @return whether it came before the battery was full, by what was said of it */
    public boolean isBeforeFull() {
        return this == ENDED_EARLY || this == STOPPED || this == BROKEN_OFF;
    }
}
