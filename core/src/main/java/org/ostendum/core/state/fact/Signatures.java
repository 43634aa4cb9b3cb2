package org.ostendum.core.state.fact;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.AcidAdjusted;
import org.ostendum.core.event.BatteryEvent.CapacityTested;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.DefectRighted;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Signed;
import org.ostendum.core.event.BatteryEvent.Watered;

/**
 * Who answers for the work on an aircraft's battery: without a licensed mechanic's name under it, it does not go back into an aircraft.
 *
 * @param unsignedSince the first work that nobody has signed for; null for none
 * @param signed when somebody last did; null for never
 */
public record Signatures(@Nullable Instant unsignedSince, @Nullable Instant signed) {
    static final Signatures NOTHING = new Signatures(null, null);

    Signatures after(BatteryEvent event, Sheet sheet) {
        if (sheet.model().duty() != Duty.AIRCRAFT) {
            return this;
        }
        return event instanceof Signed
                ? new Signatures(null, event.at())
                : isWork(event) && unsignedSince == null ? new Signatures(event.at(), signed) : this;
    }

    private static boolean isWork(BatteryEvent event) {
        return event instanceof ChargeEnded
                || event instanceof Equalised
                || event instanceof CapacityTested
                || event instanceof Watered
                || event instanceof AcidAdjusted
                || event instanceof CellReplaced
                || event instanceof DefectRighted;
    }
}
