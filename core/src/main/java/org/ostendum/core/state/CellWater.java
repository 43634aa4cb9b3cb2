package org.ostendum.core.state;

import java.util.Map;
import java.util.TreeMap;
import org.ostendum.core.battery.LevelMarks;
import org.ostendum.core.state.fact.CellLevel;

/** What single cells will take to their marks, where their levels are known. */
public final class CellWater {
    private CellWater() {}

    /** @return ml by the number of each cell that wants some, in tens; from the middle of what its level may be */
    public static Map<Integer, Integer> toMark(BatteryState battery) {
        LevelMarks marks = battery.model().levels();
        double perMm = marks.millilitresPerMm(battery.model().capacity().ampHours());
        Map<Integer, Integer> wanted = new TreeMap<>();
        for (int cell : battery.levels().low()) {
            CellLevel level = battery.levels().byCell().get(cell);
            if (level != null) {
                double middle = (Math.max(level.lowMm(), 0) + Math.max(level.highMm(), 0)) / 2;
                wanted.put(cell, tens(perMm * (marks.markMm() - middle)));
            }
        }
        return wanted;
    }

    private static int tens(double millilitres) {
        return (int) Math.round(millilitres / 10) * 10;
    }
}
