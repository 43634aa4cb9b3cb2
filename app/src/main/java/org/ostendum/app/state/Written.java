package org.ostendum.app.state;

import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;

/**
 * Something was written of a battery and its state follows it, in the transaction that still runs.
 *
 * @param entries the lines that are new; none where old ones were put right
 */
public record Written(Battery battery, List<NewEntry> entries) {
    public Written {
        entries = List.copyOf(entries);
    }
}
