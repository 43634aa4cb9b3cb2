package org.ostendum.core.battery;

/**
 * How batteries of these kinds usually stand, to begin a model with. Each is to be compared with the battery itself; what differs
 * is changed (rule of thumb).
 */
public enum CommonLayout {
    TRAY_24_VOLTS(Duty.MOTIVE, 12, 3, 1),
    TRAY_36_VOLTS(Duty.MOTIVE, 18, 3, 1),
    TRAY_48_VOLTS(Duty.MOTIVE, 24, 4, 1),
    TRAY_80_VOLTS(Duty.MOTIVE, 40, 5, 1),
    SIX_BLOCKS_OF_6_VOLTS(Duty.DEEP_CYCLE, 6, 2, 3),
    SIX_BLOCKS_OF_8_VOLTS(Duty.DEEP_CYCLE, 6, 2, 4),
    EIGHT_BLOCKS_OF_6_VOLTS(Duty.DEEP_CYCLE, 8, 2, 3),
    FOUR_BLOCKS_OF_6_VOLTS(Duty.DEEP_CYCLE, 4, 2, 3),
    FOUR_BLOCKS_OF_12_VOLTS(Duty.DEEP_CYCLE, 4, 2, 6),
    AIRCRAFT_12_VOLTS(Duty.AIRCRAFT, 6, 2, 1),
    AIRCRAFT_24_VOLTS(Duty.AIRCRAFT, 12, 3, 1);

    private final Duty duty;
    private final int cases;
    private final int rows;
    private final int cellsPerCase;

    CommonLayout(Duty duty, int cases, int rows, int cellsPerCase) {
        this.duty = duty;
        this.cases = cases;
        this.rows = rows;
        this.cellsPerCase = cellsPerCase;
    }

    public Duty duty() {
        return duty;
    }

    /** @return how many cells are in one case */
    public int cellsPerCase() {
        return cellsPerCase;
    }

    public CellLayout layout() {
        return LayoutText.parse(UsualLayout.text(cases, rows, cellsPerCase), cellsPerCase);
    }

    /** @return nominal, 2 V a cell */
    public int volts() {
        return cases * cellsPerCase * 2;
    }
}
