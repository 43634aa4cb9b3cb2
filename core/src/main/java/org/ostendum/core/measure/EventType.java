package org.ostendum.core.measure;

import java.util.Arrays;
import java.util.Optional;

/** What happened; names and units are a contract with programs outside. */
public enum EventType {
    CHARGE_END("charge_end", "Ah"),
    DISCHARGE("discharge", "Ah"),
    WATER("water", "ml"),
    EQUALISE_END("equalise_end", "h"),
    CLEAN("clean", ""),
    STANDING_FLAT("standing_flat", "h"),
    CELL_REPLACED("cell_replaced", ""),
    TEMPERATURE_MAX("temperature_max", "°C");

    private final String word;
    private final String unit;

    EventType(String word, String unit) {
        this.word = word;
        this.unit = unit;
    }

    public String word() {
        return word;
    }

    /** @return the unit of its quantity, empty where it has none */
    public String unit() {
        return unit;
    }

    /** @return all words, for a message that tells what is allowed */
    public static String words() {
        return String.join(", ", Arrays.stream(values()).map(EventType::word).toList());
    }

    public static Optional<EventType> ofWord(String word) {
        return Arrays.stream(values()).filter(t -> t.word.equals(word)).findFirst();
    }
}
