package org.ostendum.core.battery;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Where the cases of a series battery stand and in which order the current passes them, from the positive post.
 *
 * <p>Written as rows of places, back row first, rows divided by {@code /}: {@code 1 2 3/6 5 4} is a tray of six single
 * cells whose path snakes; {@code .} is an empty place. In a pack of blocks each number carries the way from the block's
 * positive to its negative post: {@code 1> 2> 3>/6< 5< 4<}. The written form is the one form: it is stored, typed and
 * drawn from.
 *
 * @param rows number of rows of places, 1 to 12
 * @param columns number of places in the longest row, 1 to 12
 * @param cases in the order of the current, first case at index 0
 * @param cellsPerCase 1 for single cells in a tray; 3, 4 or 6 for blocks
 */
public record CellLayout(int rows, int columns, List<CasePlace> cases, int cellsPerCase) {
    static final int MOST_ROWS = 12;
    static final int MOST_COLUMNS = 12;

    public CellLayout {
        cases = List.copyOf(cases);
    }

    /** @return number of cells, 1 and up */
    public int cells() {
        return cases.size() * cellsPerCase;
    }

    /** @return whether the battery is a pack of blocks rather than a tray of single cells */
    public boolean isPack() {
        return cellsPerCase > 1;
    }

    /**
     * @param cell 1.. along the path
     * @return the case that holds it
     * @throws IllegalArgumentException for a cell this battery does not have
     */
    public CasePlace caseOf(int cell) {
        if (cell < 1 || cell > cells()) {
            throw new IllegalArgumentException("Cell " + cell + " of a battery of " + cells() + " cells");
        }
        return cases.get((cell - 1) / cellsPerCase);
    }

    /** @return neighbours along the path whose cases do not touch: a long cable there, or a slip of the pen */
    public List<Gap> gaps() {
        List<Gap> gaps = new ArrayList<>();
        for (int i = 1; i < cases.size(); i++) {
            if (!cases.get(i - 1).touches(cases.get(i))) {
                gaps.add(new Gap(cases.get(i - 1).number(), cases.get(i).number()));
            }
        }
        return gaps;
    }

    /** Two cases next to each other on the path that stand apart. */
    public record Gap(int from, int to) {}

    /**
     * @param number of a block, 1 and up
     * @return the same layout with that block the other way round
     * @throws IllegalArgumentException for a block that it does not have
     */
    public CellLayout turned(int number) {
        if (number < 1 || number > cases.size()) {
            throw new IllegalArgumentException("Block " + number + " of " + cases.size());
        }
        List<CasePlace> now = new ArrayList<>(cases);
        CasePlace was = cases.get(number - 1);
        now.set(
                number - 1,
                new CasePlace(
                        was.number(), was.row(), was.column(), was.facing().turned()));
        return new CellLayout(rows, columns, now, cellsPerCase);
    }

    /** @return the written form, which {@link LayoutText#parse} reads back to an equal layout */
    public String text() {
        StringBuilder text = new StringBuilder();
        for (int row = 0; row < rows; row++) {
            text.append(row == 0 ? "" : "/");
            for (int column = 0; column < columns; column++) {
                text.append(column == 0 ? "" : " ").append(placeText(row, column));
            }
        }
        return text.toString();
    }

    private String placeText(int row, int column) {
        return cases.stream()
                .filter(c -> c.row() == row && c.column() == column)
                .map(c -> c.number() + (isPack() ? String.valueOf(c.facing().arrow()) : ""))
                .findFirst()
                .orElse(".");
    }

    static CellLayout of(int rows, int columns, List<CasePlace> cases, int cellsPerCase) {
        List<CasePlace> ordered = new ArrayList<>(cases);
        ordered.sort(Comparator.comparingInt(CasePlace::number));
        return new CellLayout(rows, columns, ordered, cellsPerCase);
    }
}
