package org.ostendum.core.life;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import org.jspecify.annotations.Nullable;

/**
 * The cycles of a battery, of which only the later ones may be on record.
 *
 * @param onRecord charges written down that ended, however
 * @param since when the first of them ended; null for none
 */
public record Cycles(int onRecord, @Nullable Instant since) {
    public static final Cycles NONE = new Cycles(0, null);

    /** From fewer days nothing can be said of the years before them. */
    private static final long LEAST_DAYS = 60;

    /** @return with one more, that ended after all of them */
    public Cycles andOne(Instant ended) {
        return new Cycles(onRecord + 1, since == null ? ended : since);
    }

    /**
     * @return cycles since it came into service: those on record, and for the time before them as many a day as since;
     *     just those on record where these are too few days
     */
    public int done(LocalDate inService, LocalDate today, ZoneId zone) {
        if (since == null) {
            return onRecord;
        }
        LocalDate first = LocalDate.ofInstant(since, zone);
        long days = ChronoUnit.DAYS.between(first, today);
        if (!first.isAfter(inService) || days < LEAST_DAYS) {
            return onRecord;
        }
        double perDay = onRecord / (double) days;
        return onRecord + (int) Math.round(perDay * ChronoUnit.DAYS.between(inService, first));
    }
}
