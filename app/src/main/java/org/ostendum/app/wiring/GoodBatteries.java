package org.ostendum.app.wiring;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.recover.GoodBeside;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Component;

/** Which battery can be joined to a flat one, so that its charger begins. */
@Component
class GoodBatteries {
    private static final int TOLD = 3;

    private final Batteries batteries;
    private final BatteryStates states;

    GoodBatteries(Batteries batteries, BatteryStates states) {
        this.batteries = batteries;
        this.states = states;
    }

    /** @return those that may lie beside it, the one of the likest size first; at most three */
    List<Battery> beside(Battery flat, BatteryState state) {
        List<Battery> alike = batteries.all().stream()
                .filter(other -> other.id() != flat.id()
                        && other.machineId() == null
                        && other.type().model().nominalVolts()
                                == flat.type().model().nominalVolts())
                .toList();
        Map<Long, BatteryState> asked = states.statesOf(alike);
        return alike.stream()
                .filter(other -> GoodBeside.suits(state, Objects.requireNonNull(asked.get(other.id()))))
                .sorted(Comparator.comparingDouble((Battery other) -> Math.abs(ampHours(other) - ampHours(flat)))
                        .thenComparing(Battery::code))
                .limit(TOLD)
                .toList();
    }

    private static double ampHours(Battery battery) {
        return battery.type().model().capacity().ampHours();
    }
}
