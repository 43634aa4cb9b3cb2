package org.ostendum.app.form;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/** A moment as programs and files write it, with its offset: 2026-03-31T14:05:00Z. Of the same years as a {@link PlainDay}. */
public final class PlainTime {
    private PlainTime() {}

    /** @return the moment, as fine as it is kept: a finer one would not be known again; empty where the text is none */
    public static Optional<Instant> parse(String text) {
        try {
            Instant moment = OffsetDateTime.parse(text).toInstant().truncatedTo(ChronoUnit.MICROS);
            return PlainDay.isOfRange(moment.atOffset(ZoneOffset.UTC).toLocalDate())
                    ? Optional.of(moment)
                    : Optional.empty();
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
