package org.ostendum.core.measure;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * The last of each thing that happened to a battery up to some moment; null where it never did.
 *
 * @param water water was added
 * @param chargeStart a charge was started
 * @param chargeEnd a charge was finished
 * @param equaliseEnd an equalising charge was finished
 * @param discharge the battery worked
 * @param chargesSinceWater finished charges after {@code water}
 */
public record Happenings(
        @Nullable Instant water,
        @Nullable Instant chargeStart,
        @Nullable Instant chargeEnd,
        @Nullable Instant equaliseEnd,
        @Nullable Instant discharge,
        int chargesSinceWater) {

    public static final Happenings NOTHING = new Happenings(null, null, null, null, null, 0);

    /** The state these happenings leave the battery in: what a round taken now is most likely to be. */
    public RoundState state() {
        if (follows(equaliseEnd, discharge) && !follows(chargeEnd, equaliseEnd)) {
            return RoundState.AFTER_EQUALISE;
        }
        if (follows(chargeEnd, discharge)) {
            return RoundState.FULL_CHARGE;
        }
        return discharge == null ? RoundState.UNKNOWN : RoundState.IN_SERVICE;
    }

    /** @return whether a finished charge has followed the last work */
    public boolean isFull() {
        return follows(filled(), discharge);
    }

    /** @return the end of the last charge of either kind */
    public @Nullable Instant filled() {
        return follows(equaliseEnd, chargeEnd) ? equaliseEnd : chargeEnd;
    }

    /** @return whether a charge was started and neither finished nor followed by work */
    public boolean isCharging() {
        return follows(chargeStart, filled()) && follows(chargeStart, discharge);
    }

    /** @return whether {@code later} happened, and {@code earlier} not after it */
    public static boolean follows(@Nullable Instant later, @Nullable Instant earlier) {
        return later != null && (earlier == null || later.isAfter(earlier));
    }
}
