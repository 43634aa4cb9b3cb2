package org.ostendum.core.judge.question;

import java.util.function.Predicate;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.measure.CellReading;

/** Picks cells of the latest round. */
final class CellsWith {
    private CellsWith() {}

    static Cells where(Case battery, Predicate<CellReading> predicate) {
        return new Cells(battery.latest().round().readings().stream()
                .filter(predicate)
                .map(CellReading::cell)
                .toList());
    }

    static boolean none(Case battery, Predicate<CellReading> predicate) {
        return battery.latest().round().readings().stream().noneMatch(predicate);
    }
}
