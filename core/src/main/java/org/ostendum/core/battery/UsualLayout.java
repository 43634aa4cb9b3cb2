package org.ostendum.core.battery;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.ostendum.core.quantity.OutOfRange;

/**
 * How cases usually stand where nobody has drawn them: in rows, the path snaking from the back left to the front. To be
 * compared with the battery itself before anything is taken apart by it (rule of thumb).
 */
public final class UsualLayout {
    private UsualLayout() {}

    /**
     * @param cases 1 to 144
     * @param rows 1 to 12
     * @param cellsPerCase 1, 3, 4 or 6
     * @return the written form of {@link CellLayout}
     * @throws OutOfRange where the cases do not go into so many rows of at most 12
     */
    public static String text(int cases, int rows, int cellsPerCase) {
        OutOfRange.check("cases", cases, 1, rows * CellLayout.MOST_COLUMNS);
        OutOfRange.check("rows", rows, 1, CellLayout.MOST_ROWS);
        int columns = (cases + rows - 1) / rows;
        List<String> lines = new ArrayList<>();
        for (int row = 0; row < rows && row * columns < cases; row++) {
            lines.add(line(row, columns, cases, cellsPerCase > 1));
        }
        return String.join("/", lines);
    }

    private static String line(int row, int columns, int cases, boolean arrows) {
        boolean rightward = row % 2 == 0;
        List<String> places = new ArrayList<>();
        for (int i = 1; i <= columns; i++) {
            int number = row * columns + i;
            places.add(number > cases ? "." : number + (arrows ? rightward ? ">" : "<" : ""));
        }
        if (!rightward) {
            Collections.reverse(places);
        }
        return String.join(" ", places);
    }

    /** @return rows that make the tray nearest to a square and no row longer than 12 */
    public static int rows(int cases) {
        int best = (cases + CellLayout.MOST_COLUMNS - 1) / CellLayout.MOST_COLUMNS;
        for (int rows = 1; rows * rows <= cases; rows++) {
            if (cases % rows == 0 && cases / rows <= CellLayout.MOST_COLUMNS) {
                best = rows;
            }
        }
        return best;
    }
}
