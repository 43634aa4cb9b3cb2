package org.ostendum.core.state.fact;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.CapacityTested;

/**
 * What discharge tests have shown.
 *
 * @param at when the last one ended; null for never
 * @param part of the rating that it gave, at the reference temperature; null for never
 * @param isRechargeDue whether the battery has not been charged full since: emptied to its cut-off it must not stand
 */
public record Tests(@Nullable Instant at, @Nullable Double part, boolean isRechargeDue) {
    static final Tests NOTHING = new Tests(null, null, false);

    Tests after(BatteryEvent event, ChargeFacts charge) {
        if (event instanceof CapacityTested test) {
            return new Tests(test.at(), test.part(), true);
        }
        return with(charge);
    }

    /** A full charge, however it was shown, settles it. */
    public Tests with(ChargeFacts charge) {
        return isRechargeDue && charge.full().isYes() ? new Tests(at, part, false) : this;
    }
}
