package org.ostendum.app.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Situations;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.procedure.Keeps;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Component;

/**
 * Says what keeps the battery that a machine goes without, in the words of its own page: a plan knows only that it may not work, its
 * state knows why.
 */
@Component
class HeldReasons {
    private static final String HELD = "plan.unmet.held";

    private final Batteries batteries;
    private final BatteryStates batteryStates;

    HeldReasons(Batteries batteries, BatteryStates batteryStates) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
    }

    /** @return the plan with each reason that is true now; what has been put right since keeps the plan's own words */
    Plan told(Plan plan) {
        Set<String> held =
                plan.unmet().stream().flatMap(unmet -> held(unmet).stream()).collect(Collectors.toSet());
        if (held.isEmpty()) {
            return plan;
        }
        Map<String, Message> reasons = reasons(held);
        List<Plan.Unmet> unmet =
                plan.unmet().stream().map(un -> told(un, reasons)).toList();
        return new Plan(plan.jobs(), unmet, plan.terms(), plan.seconds(), plan.valid());
    }

    private static Optional<String> held(Plan.Unmet unmet) {
        return unmet.why().key().equals(HELD)
                ? Optional.of(Objects.toString(unmet.why().arguments().get(0)))
                : Optional.empty();
    }

    private Map<String, Message> reasons(Set<String> codes) {
        List<Battery> held = batteries.all().stream()
                .filter(battery -> codes.contains(battery.code()))
                .toList();
        Map<Long, BatteryState> states = batteryStates.statesOf(held);
        Map<String, Message> reasons = new HashMap<>();
        for (Battery battery : held) {
            BatteryState state = Objects.requireNonNull(states.get(battery.id()));
            Keeps.why(Situations.subject(battery, state, null)).ifPresent(why -> reasons.put(battery.code(), why));
        }
        return reasons;
    }

    private static Plan.Unmet told(Plan.Unmet unmet, Map<String, Message> reasons) {
        return held(unmet)
                .map(reasons::get)
                .map(why -> new Plan.Unmet(
                        unmet.machine(), unmet.shift(), unmet.battery(), unmet.due(), unmet.since(), why))
                .orElse(unmet);
    }
}
