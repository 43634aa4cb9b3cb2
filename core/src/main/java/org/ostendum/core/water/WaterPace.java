package org.ostendum.core.water;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.statistics.Robust;

/**
 * How quickly a battery drinks, learned from its own record: what was poured at each watering over the days before it.
 *
 * @param filled when water was last poured; null before the first
 * @param perDay ml of the whole battery a day, oldest first
 */
public record WaterPace(@Nullable Instant filled, List<Double> perDay) {
    public static final WaterPace NOTHING = new WaterPace(null, List.of());

    /** Waterings learned from: a season, not a life. */
    private static final int MOST = 7;

    private static final int LEAST = 3;
    /** Two waterings nearer than this were one. */
    private static final double LEAST_DAYS = 1;

    public WaterPace {
        perDay = List.copyOf(perDay);
    }

    /** @param water a watering without its millilitres teaches nothing */
    public WaterPace after(Watered water) {
        if (water.millilitres() <= 0) {
            return this;
        }
        List<Double> rates = new ArrayList<>(perDay);
        if (filled != null) {
            double days = Duration.between(filled, water.at()).toMinutes() / 1440.0;
            if (days >= LEAST_DAYS) {
                rates.add(water.millilitres() / days);
            }
        }
        return new WaterPace(water.at(), rates.subList(Math.max(0, rates.size() - MOST), rates.size()));
    }

    /**
     * @param reserve ml from the mark down to the low one, all cells
     * @return empty with fewer than three stretches between waterings on record
     */
    public Optional<WaterForecast> forecast(double reserve) {
        if (filled == null || perDay.size() < LEAST) {
            return Optional.empty();
        }
        double usual =
                Robust.median(perDay.stream().mapToDouble(Double::doubleValue).toArray());
        Duration lasts = Duration.ofMinutes(Math.round(reserve / usual * 1440));
        return Optional.of(new WaterForecast(filled.plus(lasts), usual, perDay.size(), lasts));
    }
}
