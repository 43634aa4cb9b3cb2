package org.ostendum.core.state;

import java.util.List;
import java.util.stream.Stream;
import org.ostendum.core.judge.Cells;

/**
 * Injectors that stick. One tube fills all cells alike; where a few stand low or over the mark and the others do not, it is their
 * injectors and not the water. Practice {@code water.how}.
 *
 * @param closed cells that get no water
 * @param open cells that get too much
 */
public record StuckInjectors(Cells closed, Cells open) {
    static final StuckInjectors NONE = new StuckInjectors(new Cells(List.of()), new Cells(List.of()));

    /** A larger part of all cells is no sticking: it was watered too little, or too long ago. */
    private static final double FEW = 0.25;

    static StuckInjectors of(BatteryState battery) {
        return battery.kit().isOn()
                ? new StuckInjectors(few(battery.levels().low(), battery), few(open(battery), battery))
                : NONE;
    }

    /** Drawing off puts the cell right, not its injector. */
    private static List<Integer> open(BatteryState battery) {
        return Stream.concat(battery.levels().over().stream(), battery.kit().drawnOff().stream())
                .distinct()
                .sorted()
                .toList();
    }

    private static Cells few(List<Integer> cells, BatteryState battery) {
        boolean allLooked = battery.levels().byCell().size() == battery.cells().atWork();
        return allLooked && cells.size() <= Math.max(1, FEW * battery.cells().atWork())
                ? new Cells(cells)
                : new Cells(List.of());
    }

    public boolean isEmpty() {
        return closed.isEmpty() && open.isEmpty();
    }
}
