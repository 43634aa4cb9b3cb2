package org.ostendum.core.battery;

import org.ostendum.core.quantity.AmpHours;

/**
 * What the judge needs of a maker's sheet.
 *
 * @param code the model's name in the site
 * @param kind flooded or sealed
 * @param duty what it is made for
 * @param layout where the cells stand and how the current runs through them
 * @param capacity rated capacity
 * @param rateHours discharge time at which the capacity is stated, hours; 0.5 for the 30 min aircraft rate
 * @param marks gravities of the sheet
 * @param levels where its electrolyte may stand
 */
public record BatteryModel(
        String code,
        CellKind kind,
        Duty duty,
        CellLayout layout,
        AmpHours capacity,
        double rateHours,
        GravityMarks marks,
        LevelMarks levels) {

    /** A model whose sheet does not name the level. */
    public BatteryModel(
            String code,
            CellKind kind,
            Duty duty,
            CellLayout layout,
            AmpHours capacity,
            double rateHours,
            GravityMarks marks) {
        this(code, kind, duty, layout, capacity, rateHours, marks, LevelMarks.USUAL);
    }

    /** The same model with the level of its sheet. */
    public BatteryModel with(LevelMarks marked) {
        return new BatteryModel(code, kind, duty, layout, capacity, rateHours, marks, marked);
    }

    public int cells() {
        return layout.cells();
    }

    /** Nominal voltage: 2 V a cell. */
    public int nominalVolts() {
        return 2 * cells();
    }
}
