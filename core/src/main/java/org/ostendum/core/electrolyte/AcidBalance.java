package org.ostendum.core.electrolyte;

import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Litres;
import org.ostendum.core.quantity.OutOfRange;

/**
 * What a discharge does to a cell's electrolyte: for each Ah and cell 3.66 g of H₂SO₄ are used and 0.67 g of water made. Source:
 * Bode, Lead-Acid Batteries (stoichiometry of PbO₂ + Pb + 2 H₂SO₄ → 2 PbSO₄ + 2 H₂O).
 */
public final class AcidBalance {
    /** kg of H₂SO₄ used for each Ah and cell. */
    public static final double ACID_PER_AH = 0.00366;
    /** kg of water made for each Ah and cell. */
    public static final double WATER_PER_AH = 0.00067;

    private AcidBalance() {}

    /** Depth down to which the sheet's empty gravity is stated (rule of thumb). */
    private static final double EMPTY_DEPTH = 0.8;

    /**
     * @return volume of the electrolyte of one full cell, by how far its gravity falls on the sheet when it is emptied
     * @throws OutOfRange when the sheet's gravities leave no such volume
     */
    public static Litres cellVolume(CorrectedGravity full, CorrectedGravity empty, AmpHours capacity) {
        double acid = EMPTY_DEPTH * ACID_PER_AH * capacity.ampHours();
        double water = EMPTY_DEPTH * WATER_PER_AH * capacity.ampHours();
        double from = AcidTable.massFraction(full);
        double to = AcidTable.massFraction(empty);
        return new Litres((acid - to * (acid - water)) / (from - to) / AcidTable.density(from));
    }

    /**
     * @param cell volume of electrolyte before
     * @param full gravity before
     * @param out charge taken out
     * @return gravity once it has mixed
     * @throws OutOfRange when the cell does not hold so much acid
     */
    public static CorrectedGravity after(Litres cell, CorrectedGravity full, AmpHours out) {
        double part = AcidTable.massFraction(full);
        double mass = cell.litres() * AcidTable.density(part);
        double acid = mass * part;
        OutOfRange.check("charge taken out", out.ampHours(), 0, acid / ACID_PER_AH);
        double acidLeft = acid - out.ampHours() * ACID_PER_AH;
        double massLeft = mass - out.ampHours() * (ACID_PER_AH - WATER_PER_AH);
        return AcidTable.gravity(acidLeft / massLeft);
    }
}
