package org.ostendum.app.plan.hours;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.room.Span;

/**
 * A stretch of the week in which a machine is needed or a person is there.
 *
 * @param ofId the machine or person; {@link #OF_HOUSE} for neither
 * @param until the same as or before {@code from}: on the day after
 * @param ah that the work takes; null for what has been usual
 */
public record WeekHours(long id, long ofId, DayOfWeek day, LocalTime from, LocalTime until, @Nullable Double ah) {

    /** In the place of a machine or person where it is of the whole house. */
    public static final long OF_HOUSE = 0;

    /** @return its stretches that touch a time, by their date in the zone */
    public List<Dated> within(Instant start, Instant end, ZoneId zone) {
        List<Dated> dated = new ArrayList<>();
        LocalDate last = LocalDate.ofInstant(end, zone);
        for (LocalDate date = LocalDate.ofInstant(start, zone).minusDays(1);
                !date.isAfter(last);
                date = date.plusDays(1)) {
            if (date.getDayOfWeek() == day) {
                Span span = span(date, zone);
                if (span.touches(new Span(start, end))) {
                    dated.add(new Dated(date, span));
                }
            }
        }
        return dated;
    }

    private Span span(LocalDate date, ZoneId zone) {
        LocalDate ends = until.isAfter(from) ? date : date.plusDays(1);
        return new Span(
                date.atTime(from).atZone(zone).toInstant(),
                ends.atTime(until).atZone(zone).toInstant());
    }

    /** The stretch of one week. */
    public record Dated(LocalDate date, Span span) {}
}
