package org.ostendum.sim;

/**
 * What a cell gives under a constant load down to its end: less at a higher current (Peukert) and in the cold, with a resistance that
 * grows as it empties and a knee where the acid in the plates is used up. Rules of thumb fitted to the shape of usual discharge curves.
 */
final class Discharge {
    private static final double PEUKERT = 1.18;
    /** Part of the capacity for each kelvin, and where the rating is stated. */
    private static final double PER_KELVIN = 0.006;

    private static final double STATED_AT = 27;
    /** V that a sound cell loses at its rated current when full; as much again when empty. */
    private static final double LOST = 0.065;

    private static final double KNEE = 0.0048;
    private static final double KNEE_FROM_END = 0.03;
    private static final double FALL_BEHIND_END = 40;
    private static final double REVERSED = -1.2;
    private static final double LEAST_PLATES = 0.2;

    private Discharge() {}

    /** @return part of the rated capacity that the cell can give at this current and temperature */
    static double available(CellBank bank, int i, double amps) {
        double rate = amps / bank.capacity * bank.rateHours;
        double slower = Math.pow(Math.max(0.05, rate), -(PEUKERT - 1));
        return Math.max(LEAST_PLATES, bank.plates[i]) * slower * (1 + PER_KELVIN * (bank.celsius - STATED_AT));
    }

    /** @return volts of one cell, its joint with it, while {@code amps} flow out */
    static double volts(CellBank bank, int i, double amps) {
        double gone = bank.missing[i] / available(bank, i, amps);
        double rate = amps / bank.capacity * bank.rateHours;
        double lost = LOST * rate / Math.sqrt(Math.max(LEAST_PLATES, bank.plates[i])) * (1 + Math.min(1, gone * gone));
        double knee =
                gone < 1 ? KNEE / (KNEE_FROM_END + 1 - gone) : KNEE / KNEE_FROM_END + FALL_BEHIND_END * (gone - 1);
        double cell = Math.max(REVERSED, 0.845 + bank.mixedGravity(i).tenths() / 10_000.0 - lost - knee);
        return bank.polarity[i] * cell - amps * bank.jointOhms[i];
    }
}
