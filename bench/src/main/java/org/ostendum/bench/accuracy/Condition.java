package org.ostendum.bench.accuracy;

/** How a site differs from those that {@link Population} draws as they come. */
enum Condition {
    AS_THEY_COME("as they come"),
    IRREGULAR("rounds 14 to 90 days apart"),
    QUARTERLY("a round each quarter"),
    HALF_THE_CELLS("every second cell read, in turn"),
    IN_SERVICE_BETWEEN("every second round in service"),
    NO_CHARGES("no charges logged"),
    NO_VOLTS("no voltmeter"),
    ROUGH_METER("a meter that scatters 5 to 25 mV"),
    FIVE_POINTS("hydrometer read to 5 points"),
    TEN_POINTS("hydrometer read to 10 points"),
    READER_OFF("a reader 6 or 12 points off from mid-life"),
    COLD_ROOM("a room of 4 °C"),
    HOT_ROOM("a room of 34 °C"),
    REPLACED_CELLS("a cell replaced"),
    SENT_TWICE("every round sent twice");

    private final String words;

    Condition(String words) {
        this.words = words;
    }

    String words() {
        return words;
    }

    /** @return whether its hydrometer is read closely enough for the aims of false calls */
    boolean isReadClosely() {
        return this != TEN_POINTS && this != READER_OFF;
    }
}
