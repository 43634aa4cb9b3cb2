package org.ostendum.core.battery;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the written form of a {@link CellLayout}. */
public final class LayoutText {
    private static final Pattern PLACE = Pattern.compile("(\\d{1,3})([<>v^])?");

    private LayoutText() {}

    /**
     * @param text see {@link CellLayout}
     * @param cellsPerCase 1, 3, 4 or 6
     * @throws LayoutFault when the text is not a layout, with what is wrong and where
     */
    public static CellLayout parse(String text, int cellsPerCase) {
        List<CasePlace> cases = new ArrayList<>();
        String[] rows = text.strip().split("/", -1);
        int columns = 0;
        for (int row = 0; row < rows.length; row++) {
            List<String> places = Arrays.asList(rows[row].strip().split("\\s+"));
            columns = Math.max(columns, places.size());
            for (int column = 0; column < places.size(); column++) {
                addPlace(cases, places.get(column), row, column, cellsPerCase);
            }
        }
        checkSize(rows.length, columns);
        checkNumbers(cases);
        return CellLayout.of(rows.length, columns, cases, cellsPerCase);
    }

    private static void addPlace(List<CasePlace> cases, String place, int row, int column, int cellsPerCase) {
        if (place.equals(".")) {
            return;
        }
        Matcher matcher = PLACE.matcher(place);
        if (!matcher.matches()) {
            throw new LayoutFault(LayoutFault.Kind.NOT_A_PLACE, place);
        }
        String arrow = matcher.group(2);
        if (arrow == null && cellsPerCase > 1) {
            throw new LayoutFault(LayoutFault.Kind.NO_FACING, place);
        }
        cases.add(new CasePlace(Integer.parseInt(matcher.group(1)), row, column, facing(arrow)));
    }

    /** A single cell's posts are drawn from its neighbours; it has no facing of its own. */
    private static Facing facing(@org.jspecify.annotations.Nullable String arrow) {
        if (arrow == null) {
            return Facing.RIGHT;
        }
        return Arrays.stream(Facing.values())
                .filter(f -> f.arrow() == arrow.charAt(0))
                .findFirst()
                .orElseThrow();
    }

    private static void checkSize(int rows, int columns) {
        if (rows > CellLayout.MOST_ROWS || columns > CellLayout.MOST_COLUMNS) {
            throw new LayoutFault(LayoutFault.Kind.TOO_LARGE, columns + " x " + rows);
        }
    }

    private static void checkNumbers(List<CasePlace> cases) {
        Set<Integer> seen = new HashSet<>();
        for (CasePlace place : cases) {
            if (!seen.add(place.number())) {
                throw new LayoutFault(LayoutFault.Kind.TWICE, String.valueOf(place.number()));
            }
        }
        for (int number = 1; number <= Math.max(1, cases.size()); number++) {
            if (!seen.contains(number)) {
                throw new LayoutFault(LayoutFault.Kind.MISSING, String.valueOf(number));
            }
        }
    }
}
