package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.people.People;
import org.ostendum.app.plan.house.HouseBatteries;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.RoundRecord;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.equalise.EqualiseProposal;
import org.ostendum.core.judge.Message;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.springframework.beans.factory.annotation.Autowired;

/** What a plan says of a battery that may not work is what its own gates say. */
class HeldReasonsTest extends JobsTest {
    @Autowired
    private OwnBatteries own;

    @Autowired
    private HeldReasons reasons;

    @Autowired
    private BatteryStates states;

    @Autowired
    private RoundRecord record;

    @Autowired
    private Planning planning;

    @Autowired
    private PlanRuns runs;

    @Autowired
    private PlannedJobs jobs;

    @Autowired
    private People people;

    private Message why(Battery battery) {
        Message held = Message.of("plan.unmet.held", battery.code());
        Plan.Unmet unmet = new Plan.Unmet("F01", "s", null, null, TestClock.now(), held);
        return reasons.told(new Plan(List.of(), List.of(unmet), List.of(), 0, true))
                .unmet()
                .get(0)
                .why();
    }

    @Test
    void theWornPlugIsNamedThatShutsTheChargeAsWell() throws Exception {
        Battery battery = own.rested("HELD-1", "T-13");
        assertThat(why(battery).key())
                .as("put right meanwhile: the plan’s own words")
                .isEqualTo("plan.unmet.held");
        tom.ask(multipart("/batteries/" + battery.code() + "/defect").param("kind", "WORN_PLUG"));
        assertThat(HouseBatteries.isHeld(states.stateOf(battery)))
                .as("full as it is, it is not issued")
                .isTrue();
        Message told = why(battery);
        assertThat(told.key()).isEqualTo("gate.SOUND_FOR_CHARGE.shut");
        assertThat(told.arguments()).startsWith(battery.code(), DefectKind.WORN_PLUG);
        assertThat(tom.page("/batteries/" + battery.code() + "/jobs/charge"))
                .contains("Under current it would get hot");
    }

    private void read(Battery battery, Duration ago, @Nullable Level level) {
        List<CellReading> readings = IntStream.rangeClosed(
                        1, battery.type().model().cells())
                .mapToObj(cell -> new CellReading(
                        cell, SpecificGravity.ofPoints(1285), false, false, null, null, false, level, null))
                .toList();
        Round round = new Round(TestClock.now().minus(ago), RoundState.FULL_CHARGE, Celsius.of(25), readings);
        record.record(
                battery,
                round,
                Coverage.WHOLE,
                people.byLogin("tom").orElseThrow().id());
    }

    /** It may go to work, but nobody puts it on a charger to equalise it before somebody has drawn off. */
    @Test
    void whatIsFullAndOverTheMarkIsNotPlannedToBeEqualised() {
        Battery battery = own.toEqualise("HELD-3", "T-21");
        read(battery, Duration.ofDays(90), Level.RIGHT);
        assertThat(EqualiseProposal.of(states.stateOf(battery))).isPresent();
        assertThat(HouseBatteries.mayHave(Task.EQUALISE, states.stateOf(battery)))
                .isTrue();
        read(battery, Duration.ofHours(1), Level.OVER);
        assertThat(HouseBatteries.mayHave(Task.USE, states.stateOf(battery))).isTrue();
        assertThat(HouseBatteries.mayHave(Task.EQUALISE, states.stateOf(battery)))
                .isFalse();
        planning.takeAtOnce(people.byLogin("maud").orElseThrow().id());
        Plan plan = runs.plan(planning.inForce().orElseThrow().id()).orElseThrow();
        assertThat(plan.jobs(Task.EQUALISE)).extracting(PlanJob::battery).doesNotContain(battery.code());
    }

    /** It may not work, but it is read all the same: what the plan gives somebody to do is on his list. */
    @Test
    void whatIsPlannedForABatteryThatMayNotWorkIsOnSomebodysList() throws Exception {
        Battery battery = own.toEqualise("HELD-2", "T-21");
        read(battery, Duration.ofDays(90), null);
        assertThat(EqualiseProposal.of(states.stateOf(battery))).isPresent();
        assertThat(HouseBatteries.mayHave(Task.TEST, states.stateOf(battery))).isTrue();
        tom.ask(multipart("/batteries/" + battery.code() + "/defect").param("kind", "WORN_PLUG"));
        planning.takeAtOnce(people.byLogin("maud").orElseThrow().id());
        assertThat(HouseBatteries.mayHave(Task.TEST, states.stateOf(battery)))
                .as("nobody could charge it after")
                .isFalse();
        Plan plan = runs.plan(planning.inForce().orElseThrow().id()).orElseThrow();
        assertThat(plan.jobs())
                .filteredOn(job -> job.battery().equals(battery.code()))
                .as("its plug would get hot")
                .noneMatch(job -> job.what() == Task.CHARGE || job.what() == Task.EQUALISE);
        PlanJob round = plan.jobs(Task.ROUND)
                .filter(job -> job.battery().equals(battery.code()))
                .findFirst()
                .orElseThrow();
        assertThat(jobs.ofPerson(Objects.requireNonNull(round.person()), TestClock.now(), 500))
                .contains(round);
    }
}
