package org.ostendum.core.battery;

import java.util.ArrayList;
import java.util.List;

/** The usual ways in which straps run through a tray; each yields the written layout a person can then change. */
public enum TrayPattern {
    /** Along the rows, turning at each end, positive post at the back left. */
    ROWS_FROM_LEFT,
    /** Along the rows, turning at each end, positive post at the back right. */
    ROWS_FROM_RIGHT,
    /** Along the columns, turning at each end, positive post at the back left. */
    COLUMNS_FROM_LEFT,
    /** Along the columns, turning at each end, positive post at the back right. */
    COLUMNS_FROM_RIGHT;

    /**
     * @param rows 1 to 12
     * @param columns 1 to 12
     */
    public CellLayout layout(int rows, int columns) {
        List<CasePlace> cases = new ArrayList<>();
        for (int number = 1; number <= rows * columns; number++) {
            cases.add(place(number, rows, columns));
        }
        return CellLayout.of(rows, columns, cases, 1);
    }

    private CasePlace place(int number, int rows, int columns) {
        boolean alongRows = this == ROWS_FROM_LEFT || this == ROWS_FROM_RIGHT;
        int length = alongRows ? columns : rows;
        int lane = (number - 1) / length;
        int step = (number - 1) % length;
        int turned = lane % 2 == 0 ? step : length - 1 - step;
        int row = alongRows ? lane : turned;
        int column = alongRows ? turned : lane;
        boolean fromRight = this == ROWS_FROM_RIGHT || this == COLUMNS_FROM_RIGHT;
        return new CasePlace(number, row, fromRight ? columns - 1 - column : column, Facing.RIGHT);
    }
}
