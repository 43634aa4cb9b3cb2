package org.ostendum.core.water;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.ostendum.core.battery.CasePlace;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.battery.Facing;

/**
 * The way of a watering kit's tube over the cells: along the back row, back along the next, so that no piece of it crosses another.
 * Both ends meet at the coupling, so that every injector gets its water from two sides. Practice {@code water.how}.
 */
public final class KitRoute {
    private KitRoute() {}

    /** @return every cell once, in the order in which the tube passes their injectors */
    public static List<Integer> of(CellLayout layout) {
        List<Integer> route = new ArrayList<>();
        for (int row = 0; row < layout.rows(); row++) {
            int of = row;
            List<CasePlace> places = new ArrayList<>(layout.cases().stream()
                    .filter(place -> place.row() == of)
                    .sorted(Comparator.comparingInt(CasePlace::column))
                    .toList());
            boolean backwards = row % 2 == 1;
            if (backwards) {
                Collections.reverse(places);
            }
            places.forEach(place -> route.addAll(cells(place, layout.cellsPerCase(), backwards)));
        }
        return List.copyOf(route);
    }

    /** From left to right and from back to front, or the other way. */
    private static List<Integer> cells(CasePlace place, int perCase, boolean backwards) {
        int first = (place.number() - 1) * perCase + 1;
        List<Integer> cells =
                new ArrayList<>(IntStream.range(first, first + perCase).boxed().toList());
        boolean fromPositive = place.facing() == Facing.RIGHT || place.facing() == Facing.FRONT;
        if (fromPositive == backwards) {
            Collections.reverse(cells);
        }
        return cells;
    }
}
