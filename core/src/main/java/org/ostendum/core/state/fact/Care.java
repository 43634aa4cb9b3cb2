package org.ostendum.core.state.fact;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.Washed;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.CorrectedGravity;

/**
 * When the battery was last looked after.
 *
 * @param round when its newest round was taken; null for never
 * @param gravity lowest corrected gravity of the newest round with gravities, null for none
 * @param washed null where nobody knows
 */
public record Care(@Nullable Instant round, @Nullable CorrectedGravity gravity, @Nullable Instant washed) {
    static final Care NOTHING = new Care(null, null, null);

    Care after(BatteryEvent event) {
        return event instanceof Washed ? new Care(round, gravity, event.at()) : this;
    }

    public Care afterRound(Round taken, @Nullable CorrectedGravity lowest) {
        return new Care(taken.takenAt(), lowest == null ? gravity : lowest, washed);
    }
}
