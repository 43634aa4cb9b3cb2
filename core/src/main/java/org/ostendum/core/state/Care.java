package org.ostendum.core.state;

import java.time.Instant;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.BatteryEvent.Washed;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.CorrectedGravity;

/**
 * When the battery was last looked after.
 *
 * @param round when its newest round was taken; null for never
 * @param gravity lowest corrected gravity of the newest round with gravities, null for none
 * @param washed null where nobody knows
 * @param cellsSince when the cell now in a position was put in, for those that were replaced
 */
public record Care(
        @Nullable Instant round,
        @Nullable CorrectedGravity gravity,
        @Nullable Instant washed,
        Map<Integer, Instant> cellsSince) {
    static final Care NOTHING = new Care(null, null, null, Map.of());

    public Care {
        cellsSince = Map.copyOf(cellsSince);
    }

    Care after(BatteryEvent event) {
        if (event instanceof Washed) {
            return new Care(round, gravity, event.at(), cellsSince);
        } else if (event instanceof CellReplaced replaced) {
            Map<Integer, Instant> since = new TreeMap<>(cellsSince);
            since.put(replaced.cell(), replaced.at());
            return new Care(round, gravity, washed, since);
        }
        return this;
    }

    Care afterRound(Round taken, @Nullable CorrectedGravity lowest) {
        return new Care(taken.takenAt(), lowest == null ? gravity : lowest, washed, cellsSince);
    }
}
