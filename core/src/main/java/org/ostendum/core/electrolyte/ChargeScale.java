package org.ostendum.core.electrolyte;

import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.StateOfCharge;
import org.ostendum.core.quantity.Volts;

/**
 * State of charge of one battery model, linear between its empty and its full gravity.
 *
 * <p>Source: acid is used up in proportion to the charge taken out (Bode, Lead-Acid Batteries); the linear scale between
 * the model's two marks is the common shop practice and a rule of thumb at the ends.
 *
 * @param empty gravity at 0 %
 * @param full gravity at 100 %, above {@code empty}
 */
public record ChargeScale(CorrectedGravity empty, CorrectedGravity full) {
    /** Rest voltage of a cell less its gravity: OCV = SG + 0.845. Vinal, Storage Batteries; valid for 1.100 to 1.300. */
    private static final int OCV_OFFSET_MILLIVOLTS = 845;

    /** @throws IllegalArgumentException unless {@code empty < full} */
    public ChargeScale {
        if (empty.compareTo(full) >= 0) {
            throw new IllegalArgumentException("Empty gravity " + empty + " is not below full " + full);
        }
    }

    /** SoC = (SG − empty) ÷ (full − empty). */
    public StateOfCharge of(CorrectedGravity gravity) {
        double above = gravity.tenths() - empty.tenths();
        return StateOfCharge.ofFraction(above / (full.tenths() - empty.tenths()));
    }

    /** @param rest voltage of one cell, rested and with nothing connected */
    public StateOfCharge ofRestVoltage(Volts rest) {
        return of(gravityAtRest(rest));
    }

    /** SG = OCV − 0.845, for one cell. */
    public static CorrectedGravity gravityAtRest(Volts rest) {
        return new CorrectedGravity((rest.millivolts() - OCV_OFFSET_MILLIVOLTS) * 10);
    }

    /** OCV = SG + 0.845, for one cell. */
    public static Volts restVoltage(CorrectedGravity gravity) {
        return new Volts(Math.round(gravity.tenths() / 10f) + OCV_OFFSET_MILLIVOLTS);
    }
}
