package org.ostendum.app.event;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What happened; names and units are a contract with programs outside. */
public enum EventType {
    CHARGE_START(""),
    CHARGE_END("Ah"),
    DISCHARGE("Ah"),
    WATER("ml"),
    EQUALISE_END("h"),
    CLEAN(""),
    STANDING_FLAT("h"),
    CELL_REPLACED(""),
    TEMPERATURE_MAX("°C"),
    DREW_OFF("ml"),
    LEVEL("mm"),
    TEMPERATURE("°C"),
    DEFECT(""),
    DEFECT_RIGHTED(""),
    MOVED(""),
    HELD(""),
    RELEASED("");

    private final String unit;

    EventType(String unit) {
        this.unit = unit;
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** @return the unit of its quantity, empty where it has none */
    public String unit() {
        return unit;
    }

    /** @return whether a line of a file tells it whole: a defect and a move need more than a file has */
    public boolean isInFiles() {
        return this != DEFECT && this != DEFECT_RIGHTED && this != MOVED;
    }

    /** @return all words, for a message that tells what is allowed */
    public static String words() {
        return String.join(", ", Arrays.stream(values()).map(EventType::word).toList());
    }

    public static Optional<EventType> ofWord(String word) {
        return Arrays.stream(values()).filter(t -> t.word().equals(word)).findFirst();
    }
}
