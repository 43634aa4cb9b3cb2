package org.ostendum.app.form;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/** A day as it is typed, 2026-03-31, in the years a battery of a site can have to do with. */
public final class PlainDay {
    private static final LocalDate FIRST = LocalDate.of(1980, 1, 1);
    private static final LocalDate LAST = LocalDate.of(2099, 12, 31);

    private PlainDay() {}

    /** @return the day; empty where the text is none, or none of those years */
    public static Optional<LocalDate> parse(String text) {
        try {
            LocalDate day = LocalDate.parse(text.strip());
            return isOfRange(day) ? Optional.of(day) : Optional.empty();
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /** @return whether a day lies within the years that the application knows */
    static boolean isOfRange(LocalDate day) {
        return !day.isBefore(FIRST) && !day.isAfter(LAST);
    }
}
