package org.ostendum.core.state;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.state.fact.Stage;
import org.ostendum.core.water.WaterForecast;

/**
 * When a battery wants water next: what somebody has seen goes before its own record, and that before the calendar.
 *
 * @param at when; in the past for long due
 * @param from when it was last filled, or seen to be; null where cells are low now
 * @param lasts so long from then
 */
public record WaterDue(Instant at, Basis basis, @Nullable Instant from, Duration lasts) {
    /** What tells it. */
    public enum Basis {
        LEVELS,
        RECORD,
        RULE
    }

    /** @return null where neither water nor a look into all cells is on record, and for what is put away with its cells right */
    static @Nullable WaterDue of(BatteryState state) {
        if (!state.levels().low().isEmpty()) {
            return new WaterDue(state.asOf(), Basis.LEVELS, null, Duration.ZERO);
        }
        Instant from = filled(state);
        // What is put away splits no water: there is none to make up for.
        if (from == null || state.stage() == Stage.STORED) {
            return null;
        }
        Duration interval =
                state.rules().duration(RuleKey.waterInterval(state.model().duty()));
        Optional<Duration> learned =
                state.waterForecast().map(WaterForecast::lasts).filter(lasts -> !isCapped(state, lasts, interval));
        Duration lasts = learned.orElse(interval);
        return new WaterDue(from.plus(lasts), learned.isPresent() ? Basis.RECORD : Basis.RULE, from, lasts);
    }

    /** Cars parked in a row are watered on their day, however slowly one of them drinks (water.how-often). */
    private static boolean isCapped(BatteryState state, Duration learned, Duration interval) {
        return state.model().duty() == Duty.DEEP_CYCLE && learned.compareTo(interval) > 0;
    }

    public boolean isDue(Instant now) {
        return !at.isAfter(now);
    }

    /** Seen to be right in every cell is as good as filled. */
    private static @Nullable Instant filled(BatteryState state) {
        Instant watered = state.water().watered();
        Instant seen = state.levels().byCell().size() < state.cells().atWork()
                ? null
                : state.levels().byCell().values().stream()
                        .map(level -> level.basis().isLook() ? level.at() : Instant.MIN)
                        .min(Instant::compareTo)
                        .filter(at -> at.isAfter(Instant.MIN))
                        .orElse(null);
        if (watered == null || seen == null) {
            return watered == null ? seen : watered;
        }
        return seen.isAfter(watered) ? seen : watered;
    }
}
