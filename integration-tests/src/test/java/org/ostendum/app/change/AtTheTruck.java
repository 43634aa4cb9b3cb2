package org.ostendum.app.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.Task;
import org.springframework.beans.factory.annotation.Autowired;

/** A truck with one battery in it and another on the stand, both of this test alone. */
abstract class AtTheTruck extends JobsTest {
    @Autowired
    protected OwnBatteries own;

    @Autowired
    protected Machines machines;

    protected String tag;
    protected Machine truck;
    protected Battery old;
    protected Battery fresh;

    @BeforeEach
    void truckAndBatteries() {
        tag = UUID.randomUUID().toString().substring(0, 4);
        old = own.rested("O" + tag, "T-04");
        fresh = own.rested("N" + tag, "T-04");
        truck = truck("F" + tag);
        batteries.place(old.id(), null, truck.id());
    }

    private Machine truck(String code) {
        int weight = fresh.type().weightKg();
        long id = machines.add(new Machine(
                0,
                code,
                "Test truck",
                MachineKind.FORKLIFT,
                weight - 50,
                weight + 50,
                fresh.type().model().nominalVolts(),
                "",
                null,
                null));
        return machines.all().stream().filter(m -> m.id() == id).findFirst().orElseThrow();
    }

    protected long begin(Battery in) throws Exception {
        return begin(tom, in.code(), "change-battery", "machine", truck.code(), "looked", "yes");
    }

    protected void until(long job, String step, String how) throws Exception {
        Step current = run(job).current().orElseThrow();
        while (!current.id().equals(step)) {
            if (current.mayBeSkipped()) {
                say(tom, job, "skip", current.id(), "not read");
            } else {
                say(tom, job, "done", current.id(), right(current, how));
            }
            Run now = run(job);
            assertThat(now.settled(current.id())).as(current.id()).isPresent();
            current = now.current().orElseThrow();
        }
    }

    private static String right(Step step, String how) {
        if (step.id().equals("how")) {
            return how;
        } else if (step.task() instanceof Task.Choose choose && step.id().equals("which-changer")) {
            return choose.answers().get(0).id();
        }
        return step.task() instanceof Task.Write
                ? "the other one is blocked in"
                : step.rightAnswer().orElseThrow();
    }

    protected Battery now(Battery battery) {
        return batteries.byId(battery.id()).orElseThrow();
    }
}
