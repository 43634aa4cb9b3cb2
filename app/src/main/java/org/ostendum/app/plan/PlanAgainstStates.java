package org.ostendum.app.plan;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Situations;
import org.ostendum.app.plan.SincePlanned.Line;
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
        Map<String, List<PlanJob>> ahead = ahead(plan, now)
                .filter(job -> job.what() != Task.COOL && !settled.contains(job.id()))
                .collect(Collectors.groupingBy(PlanJob::battery));
        List<Battery> planned = of(ahead.keySet());
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

    /** @return of the plan's jobs those that are over, and those ahead that their batteries may have as they are by now */
    Predicate<PlanJob> allowed(Plan plan, Instant now) {
        List<Battery> planned = of(ahead(plan, now).map(PlanJob::battery).collect(Collectors.toSet()));
        Map<Long, BatteryState> states = batteryStates.statesOf(planned);
        Map<String, BatteryState> byCode = planned.stream()
                .collect(Collectors.toMap(Battery::code, b -> Objects.requireNonNull(states.get(b.id()))));
        return job -> {
            BatteryState state = byCode.get(job.battery());
            return !job.end().isAfter(now) || (state != null && StillRight.is(job, state));
        };
    }

    private static Stream<PlanJob> ahead(Plan plan, Instant now) {
        return plan.jobs().stream().filter(job -> job.end().isAfter(now));
    }

    private List<Battery> of(Set<String> codes) {
        return batteries.all().stream()
                .filter(battery -> codes.contains(battery.code()))
                .toList();
    }

    private static Optional<Line> line(Battery battery, BatteryState state, List<PlanJob> ahead) {
        List<PlanJob> against = ahead.stream()
                .filter(job -> !StillRight.is(job, state))
                .sorted(Comparator.comparing(PlanJob::start))
                .toList();
        return against.isEmpty()
                ? Optional.empty()
                : Keeps.why(Situations.subject(battery, state, null))
                        .map(why -> new Line(battery.code(), why, against));
    }
}
