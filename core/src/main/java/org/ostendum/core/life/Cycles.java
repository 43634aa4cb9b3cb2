package org.ostendum.core.life;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.jspecify.annotations.Nullable;

/**
 * The cycles of a battery, of which only the later ones may be on record.
 *
 * @param onRecord charges written down
 * @param since day of the first of them; null for none
 */
public record Cycles(int onRecord, @Nullable LocalDate since) {
    /** From fewer days nothing can be said of the years before them. */
    private static final long LEAST_DAYS = 60;

    /**
     * @return cycles since it came into service: those on record, and for the time before them as many a day as since;
     *     just those on record where these are too few days
     */
    public int done(LocalDate inService, LocalDate today) {
        if (since == null || !since.isAfter(inService) || ChronoUnit.DAYS.between(since, today) < LEAST_DAYS) {
            return onRecord;
        }
        double perDay = onRecord / (double) ChronoUnit.DAYS.between(since, today);
        return onRecord + (int) Math.round(perDay * ChronoUnit.DAYS.between(inService, since));
    }
}
