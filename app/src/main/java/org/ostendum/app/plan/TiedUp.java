package org.ostendum.app.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.job.begin.PlannedWork;
import org.ostendum.app.plan.house.HouseMachines;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.StepTimes;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Component;

/** Tells who begins something that takes hours which shift would have to wait for the battery. */
@Component
class TiedUp implements PlannedWork {
    /** Jobs ahead of one battery: a day has fewer. */
    private static final int AHEAD = 20;

    private final PlannedJobs planned;
    private final Machines machines;

    TiedUp(PlannedJobs planned, Machines machines) {
        this.planned = planned;
        this.machines = machines;
    }

    @Override
    public Optional<Late> late(Battery battery, BatteryState state, String procedure) {
        return step(procedure).flatMap(step -> planned.ofBattery(battery.code(), state.asOf(), AHEAD).stream()
                .filter(job -> job.what() == Task.USE && job.machine() != null)
                .findFirst()
                .flatMap(use -> late(use, battery, state, step)));
    }

    /** A charge is what the work waits for anyhow; when it has to begin the plan tells by itself. */
    private static Optional<NextStep> step(String procedure) {
        return Arrays.stream(NextStep.values())
                .filter(step -> procedure.equals(step.job()) && step != NextStep.CHARGE)
                .findFirst();
    }

    private Optional<Late> late(PlanJob use, Battery battery, BatteryState state, NextStep step) {
        return machines.byCode(String.valueOf(use.machine()))
                .map(machine -> new Late(machine.code(), use.start(), ready(machine, battery, state, step)))
                .filter(late -> late.ready().isAfter(late.works()));
    }

    /** What stays in its machine works warm; all else rests after current has flowed. */
    private static Instant ready(Machine machine, Battery battery, BatteryState state, NextStep step) {
        boolean rests = step.isCharge() && !HouseMachines.isFixed(machine, battery);
        Duration rest = rests ? state.rules().duration(RuleKey.COOLING) : Duration.ZERO;
        return state.asOf().plus(StepTimes.of(step, state).inAll()).plus(rest);
    }
}
