package org.ostendum.app.battery;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;

/**
 * What the page of the site's ledger shows.
 *
 * @param people whose lines can be asked for
 * @param older the line before which it goes on; null at its end
 */
record SiteLedgerView(
        LedgerSieve sieve,
        List<LedgerLine> lines,
        List<Person> people,
        List<EntryKind> kinds,
        @Nullable LedgerEntry older) {}
