package org.ostendum.core.water;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.statistics.Robust;

/**
 * When a battery wants water next, and how much it will take, learned from its own record: what was poured at each watering
 * over the days before it.
 *
 * @param nextAt when its reserve is down to the low mark
 * @param perDay ml of the whole battery
 * @param waterings learned from
 */
public record WaterForecast(Instant nextAt, double perDay, int waterings) {
    /** g of water between the marks for each cell and Ah (rule of thumb for trays). */
    static final double RESERVE_PER_AH = 0.6;
    /** At the low mark a quarter of it is left above the plates. */
    static final double USED_AT_LOW_MARK = 0.75;
    /** Waterings learned from: a season, not a life. */
    private static final int MOST = 8;

    private static final int LEAST = 3;
    /** Two waterings nearer than this were one. */
    private static final double LEAST_DAYS = 1;

    /** @return ml of the whole battery from the mark down to the low one */
    public static double reserve(int cells, double ampHours) {
        return RESERVE_PER_AH * USED_AT_LOW_MARK * ampHours * cells;
    }

    /**
     * @param reserve ml from the mark down to the low one, all cells
     * @return empty with fewer than three waterings on record
     */
    public static Optional<WaterForecast> of(EventLog log, Instant now, double reserve) {
        List<Watered> water = log.between(Watered.class, Instant.MIN, now).stream()
                .filter(w -> w.millilitres() > 0)
                .toList();
        List<Double> rates = new ArrayList<>();
        for (int i = Math.max(1, water.size() - MOST); i < water.size(); i++) {
            double days = days(water.get(i - 1).at(), water.get(i).at());
            if (days >= LEAST_DAYS) {
                rates.add(water.get(i).millilitres() / days);
            }
        }
        if (rates.size() < LEAST) {
            return Optional.empty();
        }
        double perDay =
                Robust.median(rates.stream().mapToDouble(Double::doubleValue).toArray());
        Instant filled = water.get(water.size() - 1).at();
        Instant next = filled.plus(Duration.ofMinutes(Math.round(reserve / perDay * 1440)));
        return Optional.of(new WaterForecast(next, perDay, rates.size()));
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toMinutes() / 1440.0;
    }

    /** @return ml expected at a watering so long after the last one */
    public double expected(Duration since) {
        return perDay * since.toMinutes() / 1440.0;
    }
}
