package org.ostendum.app.storage;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.CorrectedGravity;

/**
 * A battery put away, or to be.
 *
 * @param placeId null where nobody has said where
 * @param since null while it is only planned
 * @param look the last look-in; null for none
 */
public record Stay(
        long id,
        long batteryId,
        @Nullable Long placeId,
        @Nullable String place,
        Supply supply,
        @Nullable Instant since,
        @Nullable Look look) {

    /** What it hangs on while it stands. */
    public enum Supply {
        NOTHING,
        /** A charger that keeps it full. */
        MAINTAINS,
        /** A charger that stops by itself and may never start again. */
        STOPS
    }

    /**
     * Somebody looked in.
     *
     * @param powerOn null where there is no charger to look at
     * @param gravity of the lowest cell, corrected; null where none was read
     */
    public record Look(Instant at, String by, @Nullable Boolean powerOn, @Nullable CorrectedGravity gravity) {}

    public boolean isPlanned() {
        return since == null;
    }
}
