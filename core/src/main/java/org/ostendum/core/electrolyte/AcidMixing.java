package org.ostendum.core.electrolyte;

import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Kilograms;
import org.ostendum.core.quantity.Litres;
import org.ostendum.core.quantity.OutOfRange;

/** Sums of acid and water: conservation of mass and of acid over the density table. Volumes at 25 °C. */
public final class AcidMixing {
    /** kg/l of water at 25 °C. */
    private static final double WATER = 0.99705;
    /** J for each kilogram and kelvin of battery acid. Rule of thumb, 2 700 to 3 400 between 1.400 and 1.200. */
    private static final double SPECIFIC_HEAT = 3000;
    /** kg/mol of H₂SO₄, of H₂O and of NaHCO₃. */
    private static final double ACID_MOL = 0.098079;

    private static final double WATER_MOL = 0.018015;
    private static final double SODA_MOL = 0.084007;

    private AcidMixing() {}

    /**
     * How to make electrolyte. Always the acid into the water, slowly, stirred, in a vessel that bears heat.
     *
     * @param acid to be poured into the water
     * @param kelvins by which the mixture warms if nothing is lost, ± 15 %
     */
    public record Mix(Litres water, Litres acid, Kilograms waterMass, Kilograms acidMass, double kelvins) {}

    /**
     * @param wanted volume of electrolyte
     * @param gravity wanted, 1.010 to 1.400
     * @param strong gravity of the acid at hand, above {@code gravity}, up to 1.830
     * @throws OutOfRange when the acid at hand is not stronger than what is wanted
     */
    public static Mix mix(Litres wanted, CorrectedGravity gravity, CorrectedGravity strong) {
        double goal = gravity.tenths() / 10_000.0;
        OutOfRange.check("gravity wanted", goal, 1.01, 1.4);
        OutOfRange.check("gravity of the strong acid", strong.tenths() / 10_000.0, goal + 0.001, 1.83);
        double part = AcidTable.massFraction(gravity);
        double strongPart = AcidTable.massFraction(strong);
        double mass = wanted.litres() * AcidTable.density(part);
        double acidMass = mass * part / strongPart;
        double waterMass = mass - acidMass;
        double heat = mass * part / ACID_MOL * (heatOfSolution(part) - heatOfSolution(strongPart));
        return new Mix(
                new Litres(waterMass / WATER),
                new Litres(acidMass / AcidTable.density(strongPart)),
                new Kilograms(waterMass),
                new Kilograms(acidMass),
                heat / (mass * SPECIFIC_HEAT));
    }

    /** J for each mole of acid dissolved from pure: Thomsen, 74 700 n ÷ (n + 1.7983), n moles of water for each of acid. */
    private static double heatOfSolution(double massFraction) {
        double moles = (1 - massFraction) / WATER_MOL / (massFraction / ACID_MOL);
        return 74_700 * moles / (moles + 1.7983);
    }

    /**
     * @param drawOff electrolyte to be taken out of the cell
     * @param add stronger acid put in its place
     */
    public record Adjustment(Litres drawOff, Litres add) {}

    /**
     * Raises a cell's gravity by exchange of equal volumes. Only where loss of acid is proved, in small steps, by trained people.
     *
     * @param cell volume of its electrolyte
     * @param now its gravity after a full charge
     * @param wanted above {@code now}
     * @param strong gravity of the acid at hand, above {@code wanted}, 1.400 at most
     */
    public static Adjustment raise(
            Litres cell, CorrectedGravity now, CorrectedGravity wanted, CorrectedGravity strong) {
        double goal = wanted.tenths() / 10_000.0;
        OutOfRange.check("gravity wanted", goal, now.tenths() / 10_000.0, 1.4);
        OutOfRange.check("gravity of the strong acid", strong.tenths() / 10_000.0, goal + 0.001, 1.4);
        double from = AcidTable.massFraction(now);
        double to = AcidTable.massFraction(wanted);
        double with = AcidTable.massFraction(strong);
        double gain = AcidTable.density(from) * (to - from);
        double volume = cell.litres() * gain / (gain + AcidTable.density(with) * (with - to));
        return new Adjustment(new Litres(volume), new Litres(volume));
    }

    /** Bicarbonate of soda that neutralises a spill: H₂SO₄ + 2 NaHCO₃ → Na₂SO₄ + 2 H₂O + 2 CO₂. */
    public static Kilograms soda(Litres spill, CorrectedGravity gravity) {
        double part = AcidTable.massFraction(gravity);
        double acidMass = spill.litres() * AcidTable.density(part) * part;
        return new Kilograms(2 * SODA_MOL * acidMass / ACID_MOL);
    }
}
