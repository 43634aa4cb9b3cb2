package org.ostendum.core.state;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.KitFitted;
import org.ostendum.core.event.BatteryEvent.KitLookedAt;
import org.ostendum.core.event.BatteryEvent.KitTakenOff;

/**
 * The watering kit of a battery.
 *
 * @param injector kind of the injectors it has, or had last; null for never any
 * @param probe the cell its level probe looks into; null for none
 * @param on since when it is on; null while it is off
 * @param looked when it was last looked over, or fitted
 */
public record KitFacts(
        @Nullable String injector, @Nullable Integer probe, @Nullable Instant on, @Nullable Instant looked) {
    static final KitFacts NOTHING = new KitFacts(null, null, null, null);

    KitFacts after(BatteryEvent event) {
        if (event instanceof KitFitted fitted) {
            return new KitFacts(fitted.injector(), fitted.probe(), fitted.at(), fitted.at());
        } else if (event instanceof KitLookedAt look) {
            return new KitFacts(injector, probe, on, look.at());
        } else if (event instanceof KitTakenOff) {
            return new KitFacts(injector, probe, null, looked);
        }
        return this;
    }

    public boolean isOn() {
        return on != null;
    }
}
