package org.ostendum.app.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.Task;
import org.springframework.beans.factory.annotation.Autowired;

/** A watering kit from its fitting to its removal, of the model that T-11 is of, which has one. */
class KitTest extends JobsTest {
    @Autowired
    private OwnBatteries own;

    @Autowired
    private BatteryStates states;

    private String code;

    @BeforeEach
    void aFullBattery() throws Exception {
        code = own.full("K-" + UUID.randomUUID().toString().substring(0, 5), "T-11")
                .code();
    }

    /** As all goes well: the first of several answers. */
    private static String right(Step step) {
        return step.task() instanceof Task.Choose choose
                ? choose.answers().get(0).id()
                : step.rightAnswer().orElse("");
    }

    private void settle(long job, String step, String value) throws Exception {
        Step current = run(job).current().orElseThrow();
        while (!current.id().equals(step)) {
            say(tom, job, "done", current.id(), right(current));
            assertThat(run(job).settled(current.id())).as(current.id()).isPresent();
            current = run(job).current().orElseThrow();
        }
        say(tom, job, "done", step, value);
    }

    private void finish(long job) throws Exception {
        while (run(job).current().isPresent()) {
            Step current = run(job).current().orElseThrow();
            say(tom, job, "done", current.id(), right(current));
            assertThat(run(job).settled(current.id())).as(current.id()).isPresent();
        }
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        assertThat(run(job).status()).isEqualTo(Run.Status.FINISHED);
    }

    private void fit() throws Exception {
        long job = begin(tom, code, "kit-fit");
        settle(job, "injector", "short float, 28 mm");
        settle(job, "probe", "4");
        finish(job);
    }

    @Test
    void aKitIsFittedLookedOverAndTakenOff() throws Exception {
        assertThat(tom.page("/batteries/" + code + "/kit"))
                .contains(
                        "It has no watering kit on record", "have injectors short float, 28 mm", "Fit a watering kit");
        fit();
        Battery battery = battery(code);
        assertThat(states.stateOf(battery).kit().isOn()).isTrue();
        assertThat(states.stateOf(battery).kit().probe()).isEqualTo(4);
        assertThat(tom.page("/batteries/" + code + "/kit"))
                .contains("class=\"probe\"", "Injectors short float, 28 mm", "Watering kit fitted");
        long look = begin(tom, code, "kit-look");
        settle(look, "cells", "none");
        finish(look);
        long off = begin(tom, code, "kit-off");
        int cells = battery.type().model().cells();
        settle(off, "out", String.valueOf(cells - 1));
        assertThat(run(off).settled("out")).as("one is missing").isEmpty();
        settle(off, "out", String.valueOf(cells));
        assertThat(run(off).settled("out")).isPresent();
        finish(off);
        assertThat(states.stateOf(battery).kit().isOn()).isFalse();
        assertThat(tom.page("/batteries/" + code + "/life")).contains("Watering kit taken off");
    }

    @Test
    void anotherKindOfInjectorIsToldAndTakenOnPurpose() throws Exception {
        long job = begin(tom, code, "kit-fit");
        settle(job, "injector", "long float");
        assertThat(run(job).settled("injector")).isEmpty();
        assertThat(tom.page("/jobs/" + job)).contains("injector-RIGHT");
        settle(job, "injector", "long float instead of short float, 28 mm");
        assertThat(run(job).settled("injector")).isPresent();
        settle(job, "probe", "99");
        assertThat(run(job).settled("probe")).isEmpty();
        settle(job, "probe", "0");
        finish(job);
        assertThat(states.stateOf(battery(code)).kit().injector()).isEqualTo("long float");
        assertThat(states.stateOf(battery(code)).kit().probe()).isNull();
        // The newest kit says what the next one has; the model goes back to its kind.
        long back = begin(tom, code, "kit-fit");
        settle(back, "injector", "short float, 28 mm instead of long float");
        settle(back, "probe", "0");
        finish(back);
    }

    @Test
    void noCellIsDrilledUnderAKit() throws Exception {
        fit();
        assertThat(tom.page("/batteries/" + code + "/jobs/cell-repair"))
                .contains("has its watering kit on since", "Take the kit off first");
        assertThat(tom.page("/batteries/T-08/jobs")).doesNotContain("Take the watering kit off");
        assertThat(tom.page("/batteries/" + code + "/jobs")).contains("Take the watering kit off");
    }
}
