package org.ostendum.core.electrolyte;

import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;

/** Freezing point of electrolyte by its corrected gravity, ± 2 °C. Source: Vinal, Storage Batteries; CRC Handbook. */
public final class FreezingPoint {
    /** Points of gravity to tenths of °C. */
    private static final NavigableMap<Integer, Integer> TABLE = new TreeMap<>(
            Map.of(1000, 0, 1050, -35, 1100, -77, 1150, -150, 1200, -270, 1250, -520, 1280, -680, 1300, -700));

    private FreezingPoint() {}

    /** @return linear between the table's lines; empty above 1.300, where the curve turns */
    public static Optional<Celsius> of(CorrectedGravity gravity) {
        Map.Entry<Integer, Integer> below = TABLE.floorEntry(gravity.points());
        Map.Entry<Integer, Integer> above = TABLE.ceilingEntry(gravity.points());
        if (below == null || above == null) {
            return Optional.empty();
        }
        int width = above.getKey() - below.getKey();
        double share = width == 0 ? 0 : (double) (gravity.points() - below.getKey()) / width;
        double tenths = below.getValue() + share * (above.getValue() - below.getValue());
        return Optional.of(new Celsius((int) Math.round(tenths)));
    }
}
