package org.ostendum.app.battery;

import java.time.LocalDate;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.PlainDay;
import org.ostendum.app.ledger.Sought;
import org.ostendum.core.event.EntryKind;

/**
 * Which lines of the site's ledger are to be seen; the page's address holds it.
 *
 * @param from first day, 2026-03-31; what is no day is left out
 * @param until last day, included
 */
record LedgerSieve(
        @Nullable String battery,
        @Nullable EntryKind kind,
        @Nullable Long person,
        @Nullable String from,
        @Nullable String until,
        @Nullable String text) {

    Sought sought(ZoneId zone) {
        LocalDate first = day(from);
        LocalDate last = day(until);
        return new Sought(
                bare(battery),
                kind,
                person,
                first == null ? null : first.atStartOfDay(zone).toInstant(),
                last == null ? null : last.plusDays(1).atStartOfDay(zone).toInstant(),
                bare(text));
    }

    private static @Nullable LocalDate day(@Nullable String text) {
        return PlainDay.parse(bare(text)).orElse(null);
    }

    private static String bare(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    /** @return whether anything is left out */
    public boolean isNarrow() {
        return kind != null || person != null || !(bare(battery) + bare(from) + bare(until) + bare(text)).isEmpty();
    }
}
