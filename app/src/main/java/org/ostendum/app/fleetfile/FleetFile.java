package org.ostendum.app.fleetfile;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The files of a fleet, in the order in which they are taken. */
enum FleetFile {
    ROOMS,
    PLACES,
    MODELS,
    CHARGERS,
    MACHINES,
    BATTERIES,
    PEOPLE;

    /** "rooms", as in addresses and names of files. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public String fileName() {
        return word() + ".csv";
    }

    static Optional<FleetFile> named(String word) {
        return Arrays.stream(values()).filter(f -> f.word().equals(word)).findFirst();
    }
}
