package org.ostendum.app.battery;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.ChainCheck;

/**
 * What the page of a battery's ledger shows.
 *
 * @param older the number before which it goes on; null at its end
 * @param check what a look at its past found; null where nobody asked
 */
record BatteryLedgerView(
        Battery battery, List<LedgerLine> lines, @Nullable Integer older, @Nullable ChainCheck check) {}
