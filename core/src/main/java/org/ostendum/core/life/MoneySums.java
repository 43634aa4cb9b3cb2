package org.ostendum.core.life;

import org.ostendum.core.quantity.OutOfRange;

/** What a battery costs. Money in the site's own currency; energy in kWh. */
public final class MoneySums {
    private MoneySums() {}

    /**
     * Price of one kWh delivered over a life.
     *
     * @param price of the battery
     * @param cycles of its life, 50 to 5000
     * @param perCycle kWh delivered in one cycle
     * @param tariff of one kWh bought
     * @param efficiency of charger and battery together, 0.4 to 0.95
     * @param carePerCycle watering, rounds and changes
     */
    public static double perKilowattHour(
            double price, int cycles, double perCycle, double tariff, double efficiency, double carePerCycle) {
        OutOfRange.check("price", price, 0, 1_000_000);
        OutOfRange.check("cycles", cycles, 50, 5000);
        OutOfRange.check("energy of a cycle", perCycle, 0.05, 200);
        OutOfRange.check("efficiency", efficiency, 0.4, 0.95);
        return (price / cycles + carePerCycle) / perCycle + tariff / efficiency;
    }

    /**
     * Repair or replace, by what a cycle costs from now on.
     *
     * @param repairPerCycle price of the repair over the cycles still to come
     * @param replacePerCycle price of a new battery, less what the old one's lead brings, over a whole life
     */
    public record Choice(double repairPerCycle, double replacePerCycle) {
        public boolean isRepair() {
            return repairPerCycle < replacePerCycle;
        }
    }

    /**
     * @param cyclesLeft after the repair, 1 and up
     * @param newCycles of a new battery
     */
    public static Choice choose(double repair, int cyclesLeft, double newPrice, double coreCredit, int newCycles) {
        OutOfRange.check("price of the repair", repair, 0, 1_000_000);
        OutOfRange.check("price of a new battery", newPrice, 1, 1_000_000);
        OutOfRange.check("cycles left", cyclesLeft, 1, 5000);
        OutOfRange.check("cycles of a new battery", newCycles, 50, 5000);
        return new Choice(repair / cyclesLeft, (newPrice - coreCredit) / newCycles);
    }
}
