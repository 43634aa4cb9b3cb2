package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.job.begin.PlannedWork;
import org.ostendum.app.people.People;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.springframework.beans.factory.annotation.Autowired;

/** A plan equalises straight after a charge; who works it off does not charge what is full, as its page says. */
class FullInThePlanTest extends JobsTest {
    @Autowired
    private OwnBatteries own;

    @Autowired
    private Planning planning;

    @Autowired
    private PlanRuns runs;

    @Autowired
    private PlannedJobs jobs;

    @Autowired
    private People people;

    @Autowired
    private PlannedWork work;

    @Autowired
    private BatteryStates states;

    @Autowired
    private Batteries batteries;

    private Plan taken() {
        planning.takeAtOnce(people.byLogin("maud").orElseThrow().id());
        return runs.plan(planning.inForce().orElseThrow().id()).orElseThrow();
    }

    private List<Task> left(Battery battery) {
        return jobs.ofPerson("tom", TestClock.now(), 1000).stream()
                .filter(job -> job.battery().equals(battery.code()))
                .map(PlanJob::what)
                .filter(what -> what == Task.CHARGE || what == Task.EQUALISE)
                .toList();
    }

    @Test
    void whatIsFullIsEqualisedWithoutAnotherCharge() throws Exception {
        Battery battery = own.toEqualise("FIP-1", "T-21");
        Plan plan = taken();
        PlanJob equalise = plan.jobs(Task.EQUALISE)
                .filter(job -> job.battery().equals(battery.code()))
                .findFirst()
                .orElseThrow();
        assertThat(plan.jobs(Task.CHARGE))
                .as("by the contract of plans")
                .anyMatch(charge ->
                        charge.battery().equals(battery.code()) && charge.end().equals(equalise.start()));
        assertThat(left(battery)).as("before it works").startsWith(Task.EQUALISE);
        tom.send("/batteries/FIP-1/log", "kind", "DISCHARGE", "quantity", "300");
        assertThat(left(battery)).startsWith(Task.CHARGE, Task.EQUALISE);
    }

    private Optional<PlannedWork.Late> late(Battery battery, String procedure) {
        return work.late(battery, states.stateOf(battery), procedure);
    }

    /** Sixty hours on a low current and the rest after them: the shift before them is told, to whoever begins it. */
    @Test
    void whoTiesABatteryUpIsToldTheShiftThatWaitsForIt() {
        Instant now = TestClock.now();
        PlanJob use = taken().jobs(Task.USE)
                .filter(job -> Objects.requireNonNull(job.machine()).startsWith("F"))
                .filter(job -> job.start().isAfter(now.plus(Duration.ofHours(1))))
                .findFirst()
                .orElseThrow();
        Battery battery = batteries.byCode(use.battery()).orElseThrow();
        assertThat(late(battery, "equalise-sulfated")).hasValueSatisfying(late -> {
            assertThat(late.machine()).isEqualTo(use.machine());
            assertThat(late.works()).isEqualTo(use.start());
            assertThat(late.ready()).isAfter(now.plus(Duration.ofHours(67)));
        });
        assertThat(late(battery, "wash")).as("a quarter of an hour").isEmpty();
        assertThat(late(battery, "charge")).as("the work waits for it anyhow").isEmpty();
    }
}
