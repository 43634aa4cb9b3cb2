package org.ostendum.core.state.fact;

import java.time.Instant;
import java.util.Collection;
import java.util.Collections;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.DrewOff;
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
 * @param drawnOff cells under it that stood over the mark and were drawn off since: their injectors still let too much through
 */
public record KitFacts(
        @Nullable String injector,
        @Nullable Integer probe,
        @Nullable Instant on,
        @Nullable Instant looked,
        Set<Integer> drawnOff) {
    public static final KitFacts NOTHING = new KitFacts(null, null, null, null, Set.of());

    public KitFacts {
        drawnOff = Collections.unmodifiableSet(new TreeSet<>(drawnOff));
    }

    /** @param over cells that stood over the mark before the event */
    KitFacts after(BatteryEvent event, Collection<Integer> over) {
        if (event instanceof KitFitted fitted) {
            return new KitFacts(fitted.injector(), fitted.probe(), fitted.at(), fitted.at(), Set.of());
        } else if (event instanceof KitLookedAt look) {
            return new KitFacts(injector, probe, on, look.at(), Set.of());
        } else if (event instanceof KitTakenOff) {
            return new KitFacts(injector, probe, null, looked, Set.of());
        } else if (event instanceof DrewOff drew && isOn()) {
            return drewOff(drew, over);
        }
        return this;
    }

    private KitFacts drewOff(DrewOff drew, Collection<Integer> over) {
        Set<Integer> all = new TreeSet<>(drawnOff);
        over.stream()
                .filter(cell -> drew.cell() == null || drew.cell().equals(cell))
                .forEach(all::add);
        return new KitFacts(injector, probe, on, looked, all);
    }

    public boolean isOn() {
        return on != null;
    }
}
