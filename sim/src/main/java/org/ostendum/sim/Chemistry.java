package org.ostendum.sim;

/**
 * What each cell does in a moment: the derivatives. Charge goes into the plates or into gas, Ah for Ah; acid follows the
 * charge, water the gas.
 *
 * <p>Source of the balances: Bode, Lead-Acid Batteries; of doubling by 10 K: the usual Arrhenius rule. Acceptance,
 * layering, heat and voltage are rules of thumb fitted to the shape of usual charge curves.
 */
final class Chemistry {
    /** Water split by each Ah that does not go into the plates, g. */
    static final double WATER_SPLIT = 0.336;
    /** Points of layering built by charging a whole capacity without gas. */
    private static final double LAYERS_BUILT = 40;
    /** E-foldings of mixing for each whole capacity turned into gas. */
    private static final double MIXING = 30;

    private static final double ACCEPTANCE = 0.04;
    private static final double ACCEPTANCE_PER_RATE = 0.10;
    /** Part of the gassing charge that gnaws at hard sulfate. */
    private static final double SOFTENING = 0.003;

    private static final double HEAT_BY_CURRENT = 60;
    private static final double HEAT_BY_GAS = 90;
    private static final double COOLING_HOURS = 9;

    /** V for each whole capacity an hour. */
    private static final double RESISTANCE = 1.2;

    private static final double WORN_OUT = 0.2;
    /** Nothing is left to leak away. */
    private static final double EMPTY = 0.95;

    double ambient = 22;
    /** Part of the usual mixing that the gas brings about. */
    double stirring = 1;
    /** Part of capacity an hour that a dirty top or a tap takes from each cell. */
    final double[] drain;

    Chemistry(int cells) {
        drain = new double[cells];
    }

    /**
     * Moves every cell on by one step.
     *
     * @param amps into the battery; negative while it works
     * @param hours length of the step
     */
    void step(CellBank bank, double amps, double hours) {
        double rate = amps / bank.capacity;
        double gas = 0;
        double warmth = Math.pow(2, (bank.celsius - 25) / 10);
        for (int i = 0; i < bank.cells; i++) {
            double lost = (bank.leak[i] * warmth + drain[i]) * hours;
            gas += rate > 0 ? charge(bank, i, rate, hours) : discharge(bank, i, rate, hours);
            // Standing empties a cell so far and no further; a load may draw more.
            bank.missing[i] = Math.max(bank.missing[i], Math.min(EMPTY, bank.missing[i] + lost));
        }
        double gasRate = gas / bank.cells / hours;
        double heat = HEAT_BY_CURRENT * rate * rate + HEAT_BY_GAS * gasRate;
        bank.celsius += (heat - (bank.celsius - ambient) / COOLING_HOURS) * hours;
    }

    private static double discharge(CellBank bank, int i, double rate, double hours) {
        bank.missing[i] -= rate * hours;
        return 0;
    }

    /** @return part of the capacity turned into gas */
    private double charge(CellBank bank, int i, double rate, double hours) {
        double into = rate * hours;
        double taken = into * acceptance(bank.missing[i] - bank.hard[i], rate, bank.gassing);
        double gas = into - taken;
        double softened = Math.min(bank.hard[i], gas * SOFTENING);
        bank.missing[i] -= taken;
        bank.hard[i] -= softened;
        bank.water[i] -= WATER_SPLIT * gas;
        bank.layer[i] += LAYERS_BUILT * taken - stirring * MIXING * gas * bank.layer[i];
        return gas;
    }

    /** Part of the current that the plates take: nearly all while much is missing, little near full. */
    static double acceptance(double soft, double rate, double gassing) {
        double width = (ACCEPTANCE + ACCEPTANCE_PER_RATE * rate) * gassing;
        return soft <= 0 ? 0 : 1 - Math.exp(-soft / width);
    }

    /** Volts of one cell while {@code amps} flow in: the plates' own when they take, the gas's when they do not. */
    static double voltsOnCharge(CellBank bank, int i, double amps) {
        double rate = amps / bank.capacity;
        double soft = Math.max(0, bank.missing[i] - bank.hard[i]);
        double gassing = Math.sqrt(1 - acceptance(soft, rate, bank.gassing));
        double taking = 0.845 + bank.mixedGravity(i).tenths() / 10_000.0 + RESISTANCE * rate;
        double full = 2.62 - 0.05 * (bank.gassing - 1) / 0.1 - 0.004 * (bank.celsius - 25);
        double short_ = 9 * bank.leak[i];
        double sulfated = 0.9 * bank.hard[i];
        double cell = taking + (full - taking) * gassing + bank.ownVolts[i] - short_ + sulfated;
        return bank.polarity[i] * cell + amps * bank.jointOhms[i];
    }

    /** Volts of one cell, its joint with it, while {@code amps} flow out. */
    static double voltsUnderLoad(CellBank bank, int i, double amps) {
        double lost = RESISTANCE * amps / bank.capacity / Math.max(WORN_OUT, bank.plates[i]);
        return voltsAtRest(bank, i) - bank.polarity[i] * lost - amps * bank.jointOhms[i];
    }

    /** Volts of one cell that has rested. */
    static double voltsAtRest(CellBank bank, int i) {
        return bank.polarity[i] * (0.845 + bank.mixedGravity(i).tenths() / 10_000.0);
    }
}
