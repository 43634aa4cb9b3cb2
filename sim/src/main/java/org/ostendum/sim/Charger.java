package org.ostendum.sim;

/**
 * A charger of the tapering kind: its full current, then less as the battery fills, then the finishing current until so
 * much has come back for each Ah taken out.
 *
 * @param rate full current for each Ah of capacity
 * @param finish finishing current for each Ah of capacity
 * @param returns Ah put back for each Ah taken out
 * @param stopsAt part of capacity still missing at which it stops, however little has come back; negative for never
 */
record Charger(double rate, double finish, double returns, double stopsAt) {
    /** Where the full current ends, part of capacity missing. */
    private static final double TAPER_FROM = 0.2;

    private static final double LONGEST_HOURS = 16;

    static final Charger RIGHT = new Charger(0.17, 0.04, 1.12, -1);

    double amps(CellBank bank) {
        double soft = bank.softMissing();
        double taper = rate * Math.min(1, soft / TAPER_FROM);
        return bank.capacity * Math.max(finish, taper);
    }

    /** @param taken Ah since the last charge */
    Stepper.Run charge(Stepper stepper, CellBank bank, double taken) {
        double wanted = wanted(bank, taken);
        return stepper.run(
                bank, this::amps, LONGEST_HOURS, (b, in) -> Math.max(in - wanted, stopsAt - b.softMissing()));
    }

    /** What leaked away while it stood is charged with what was worked out of it. */
    double wanted(CellBank bank, double taken) {
        double lacking = Math.max(taken, bank.softMissing() * bank.capacity);
        return lacking * (1 + (returns - 1) * bank.gassing);
    }

    /** A low current for some hours on a battery already full. */
    Stepper.Run equalise(Stepper stepper, CellBank bank, double hours) {
        return stepper.run(bank, b -> b.capacity * finish * 0.75, hours, Stepper.NEVER);
    }
}
