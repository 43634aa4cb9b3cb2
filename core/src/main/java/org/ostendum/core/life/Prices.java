package org.ostendum.core.life;

import org.ostendum.core.quantity.OutOfRange;

/**
 * What a model costs the site, in its own currency.
 *
 * @param newBattery price of a new one, 1 to 1,000,000
 * @param cellRepair of exchanging one cell, parts and work, 0 to 1,000,000
 * @param coreCredit what the old one's lead brings, no more than the new price
 * @param cycles a new one lasts in this site, 50 to 5000
 */
public record Prices(double newBattery, double cellRepair, double coreCredit, int cycles) {
    public Prices {
        OutOfRange.check("price of a new battery", newBattery, 1, 1_000_000);
        OutOfRange.check("price of a cell repair", cellRepair, 0, 1_000_000);
        OutOfRange.check("core credit", coreCredit, 0, newBattery);
        OutOfRange.check("cycles of a new battery", cycles, 50, 5000);
    }
}
