package org.ostendum.app.plan;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Situations;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.procedure.Keeps;
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
        List<Plan.Unmet> unmet = plan.unmet().stream().map(this::told).toList();
        return new Plan(plan.jobs(), unmet, plan.terms(), plan.seconds(), plan.valid());
    }

    private Plan.Unmet told(Plan.Unmet unmet) {
        if (!unmet.why().key().equals(HELD)) {
            return unmet;
        }
        return batteries
                .byCode(Objects.toString(unmet.why().arguments().get(0)))
                .flatMap(this::keeps)
                .map(why -> new Plan.Unmet(
                        unmet.machine(), unmet.shift(), unmet.battery(), unmet.due(), unmet.since(), why))
                .orElse(unmet);
    }

    private Optional<Message> keeps(Battery battery) {
        return Keeps.why(Situations.subject(battery, batteryStates.stateOf(battery), null));
    }
}
