package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.people.People;
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
        planning.takeAtOnce(people.byLogin("maud").orElseThrow().id());
        Plan plan = runs.plan(planning.inForce().orElseThrow().id()).orElseThrow();
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
}
