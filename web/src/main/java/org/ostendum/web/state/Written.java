package org.ostendum.web.state;

import java.util.List;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.NewEntry;

/** Lines were written into a battery's ledger, in the transaction that still runs. */
public record Written(Battery battery, List<NewEntry> entries) {
    public Written {
        entries = List.copyOf(entries);
    }
}
