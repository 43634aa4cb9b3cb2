package org.ostendum.app.kit;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.KitFacts;
import org.springframework.stereotype.Component;

/** Which injectors the kits of a model have: those of the batteries of that model that have a kit, the newest first. */
@Component
class KitKinds {
    private final Batteries batteries;
    private final BatteryStates states;

    KitKinds(Batteries batteries, BatteryStates states) {
        this.batteries = batteries;
        this.states = states;
    }

    Optional<String> usualOf(Battery battery) {
        List<Battery> alike = batteries.all().stream()
                .filter(other -> other.type().id() == battery.type().id())
                .toList();
        return states.statesOf(alike).values().stream()
                .map(BatteryState::kit)
                .filter(kit -> kit.injector() != null)
                .max(Comparator.comparing(KitFacts::looked, Comparator.nullsFirst(Comparator.naturalOrder())))
                .map(KitFacts::injector);
    }
}
