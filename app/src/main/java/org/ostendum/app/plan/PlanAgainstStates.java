package org.ostendum.app.plan;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Situations;
import org.ostendum.app.plan.SincePlanned.Line;
import org.ostendum.app.plan.house.HouseBatteries;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.procedure.Keeps;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Component;

/** Holds a plan against what its batteries are by now: it was right when it was made, and a state goes before it. */
@Component
class PlanAgainstStates {
    private final Batteries batteries;
    private final BatteryStates batteryStates;

    PlanAgainstStates(Batteries batteries, BatteryStates batteryStates) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
    }

    /** @param settled ids of jobs that somebody has said something of */
    SincePlanned since(Plan plan, Set<String> settled, Instant now) {
        Map<String, List<PlanJob>> ahead = plan.jobs().stream()
                .filter(job -> job.end().isAfter(now) && job.what() != Task.COOL && !settled.contains(job.id()))
                .collect(Collectors.groupingBy(PlanJob::battery));
        List<Battery> planned = batteries.all().stream()
                .filter(battery -> ahead.containsKey(battery.code()))
                .toList();
        Map<Long, BatteryState> states = batteryStates.statesOf(planned);
        return new SincePlanned(planned.stream()
                .flatMap(battery -> line(
                        battery,
                        Objects.requireNonNull(states.get(battery.id())),
                        Objects.requireNonNull(ahead.get(battery.code())))
                        .stream())
                .sorted(Comparator.comparing(Line::battery))
                .toList());
    }

    /** What is under way is a fact: a charge that has to be ended is against the plan, a battery that is out is not. */
    private static boolean mayStillBe(PlanJob job, BatteryState state) {
        boolean underWay = !job.start().isAfter(state.asOf());
        if (underWay && job.what() == Task.CHARGE && state.isCharging()) {
            return !state.isChargeToBeEnded();
        }
        return (underWay && job.what() == Task.USE) || HouseBatteries.mayHave(job.what(), state);
    }

    /** What somebody has in hand is as likely the plan's own job as another: the person knows, and is asked by its gates. */
    private static Optional<Line> line(Battery battery, BatteryState state, List<PlanJob> ahead) {
        if (state.inHand() != null) {
            return Optional.empty();
        }
        List<PlanJob> against = ahead.stream()
                .filter(job -> !mayStillBe(job, state))
                .sorted(Comparator.comparing(PlanJob::start))
                .toList();
        return against.isEmpty()
                ? Optional.empty()
                : Keeps.why(Situations.subject(battery, state, null))
                        .map(why -> new Line(battery.code(), why, against));
    }
}
