package org.ostendum.core.battery;

import org.ostendum.core.quantity.OutOfRange;

/**
 * Where the electrolyte may stand in a cell, mm above the plates. The sheet names the mark; the low mark lies at a quarter of
 * it, where a quarter of the water between mark and plates is left (rule of thumb).
 *
 * @param markMm the mark to which it is filled, 4 to 120
 */
public record LevelMarks(int markMm) {
    /** About an inch (rule of thumb), where the sheet is not at hand. */
    public static final LevelMarks USUAL = new LevelMarks(25);

    private static final double LOW_PART = 0.25;
    /** A meniscus and a glance are no finer than that, mm (rule of thumb). */
    private static final double GLANCE = 2;
    /** ml of water between mark and plates for each cell and Ah (rule of thumb for trays). */
    private static final double WATER_PER_AH = 0.6;

    /** @throws OutOfRange outside 4 to 120 mm */
    public LevelMarks {
        OutOfRange.check("level mark", markMm, 4, 120);
    }

    public double lowMm() {
        return LOW_PART * markMm;
    }

    /** Above it a cell is over its mark, and no longer by a mere glance. */
    public double overMm() {
        return markMm + GLANCE;
    }

    /** @return ml by which one cell of such a capacity rises a millimetre */
    public double millilitresPerMm(double ampHours) {
        return WATER_PER_AH * ampHours / markMm;
    }
}
