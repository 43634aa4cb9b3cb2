package org.ostendum.core.water;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.EventLog;

/**
 * When a battery wants water next, and how much it will take, learned from its own record: what was poured at each watering
 * over the days before it.
 *
 * @param nextAt when its reserve is down to the low mark
 * @param perDay ml of the whole battery
 * @param waterings learned from
 * @param lasts what it is filled with, from the mark on
 */
public record WaterForecast(Instant nextAt, double perDay, int waterings, Duration lasts) {
    /** g of water between the marks for each cell and Ah (rule of thumb for trays). */
    static final double RESERVE_PER_AH = 0.6;
    /** At the low mark a quarter of it is left above the plates. */
    static final double USED_AT_LOW_MARK = 0.75;
    /** @return ml of the whole battery from the mark down to the low one */
    public static double reserve(int cells, double ampHours) {
        return RESERVE_PER_AH * USED_AT_LOW_MARK * ampHours * cells;
    }

    /**
     * @param reserve ml from the mark down to the low one, all cells
     * @return empty with fewer than three waterings on record
     */
    public static Optional<WaterForecast> of(EventLog log, Instant now, double reserve) {
        WaterPace pace = WaterPace.NOTHING;
        for (Watered water : log.between(Watered.class, Instant.MIN, now)) {
            pace = pace.after(water);
        }
        return pace.forecast(reserve);
    }

    /** @return ml expected at a watering so long after the last one */
    public double expected(Duration since) {
        return perDay * since.toMinutes() / 1440.0;
    }
}
