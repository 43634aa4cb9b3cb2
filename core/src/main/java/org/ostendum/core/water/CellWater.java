package org.ostendum.core.water;

import java.util.Map;
import java.util.TreeMap;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;

/** What single cells will take to their marks, where somebody has looked at their levels (rule of thumb for trays). */
public final class CellWater {
    private CellWater() {}

    /**
     * @param round whose levels were read since the last water
     * @param ampHours capacity
     * @return ml by the number of each cell that wants some
     */
    public static Map<Integer, Integer> toMark(Round round, double ampHours) {
        Map<Integer, Integer> wanted = new TreeMap<>();
        double whole = WaterForecast.RESERVE_PER_AH * ampHours;
        for (CellReading reading : round.readings()) {
            if (reading.level() == Level.EXPOSED) {
                wanted.put(reading.cell(), tens(whole));
            } else if (reading.level() == Level.LOW) {
                wanted.put(reading.cell(), tens(whole * WaterForecast.USED_AT_LOW_MARK));
            }
        }
        return wanted;
    }

    private static int tens(double millilitres) {
        return (int) Math.round(millilitres / 10) * 10;
    }
}
