package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.app.db.jooq.Tables.JOB;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.Test;
import org.ostendum.app.db.jooq.tables.records.JobRecord;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.people.People;
import org.ostendum.app.plan.house.HouseProblem;
import org.ostendum.app.plan.house.Mishaps;
import org.ostendum.app.plan.run.PlanRun;
import org.ostendum.app.plan.run.PlanRun.State;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.Patience;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.check.PlanChecker;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.springframework.beans.factory.annotation.Autowired;

/** The plan of the demo's house: from the live state to a plan in force, and what goes wrong with it. */
class PlanTest extends JobsTest {
    @Autowired
    private Planning planning;

    @Autowired
    private PlanRuns runs;

    @Autowired
    private BatteryStates states;

    @Autowired
    private Mishaps mishaps;

    @Autowired
    private HouseProblem house;

    @Autowired
    private Batteries batteries;

    @Autowired
    private People people;

    private PlanRun proposed() {
        return runs.newest(State.PROPOSED).orElseThrow();
    }

    private PlanRun inForce() {
        planning.takeAtOnce(maudId());
        return planning.inForce().orElseThrow();
    }

    private long maudId() {
        return people.byLogin("maud").orElseThrow().id();
    }

    @Test
    void thePlanOfTheHouseHoldsEveryRuleAndSaysWhatTheStateSays() throws Exception {
        PlanRun run = inForce();
        PlanProblem problem = runs.problem(run.id());
        Plan plan = runs.plan(run.id()).orElseThrow();
        assertThat(PlanChecker.check(problem, plan)).isEmpty();
        assertThat(plan.jobs(Task.CHARGE)).isNotEmpty();
        // A car that is put away needs no battery, and its battery none of the room's time.
        assertThat(problem.machines())
                .extracting(PlanMachine::code)
                .contains("C1")
                .doesNotContain("C13");
        assertThat(problem.batteries()).extracting(PoolBattery::code).doesNotContain("G-13");
        for (PoolBattery b : problem.batteries()) {
            Battery battery = batteries.byCode(b.code()).orElseThrow();
            BatteryState state = states.stateOf(battery);
            if (state.heldFor() != null || state.severity() == Severity.STOP) {
                assertThat(b.held()).as(b.code()).isTrue();
            }
            // Nobody is sent to plug in what the battery's own page says is not to be charged yet. What is on charge
            // and
            // has become too hot there has cooled by the time it is charged again.
            if (state.isKeptFromCharge() && !state.full().isYes() && !state.isCharging()) {
                assertThat(plan.jobs(Task.CHARGE))
                        .as(b.code())
                        .noneMatch(job -> !job.pinned() && job.battery().equals(b.code()));
            }
        }
        assertThat(maud.page("/plan")).contains("In force", "By charger", "Power", "Hydrogen");
        assertThat(maud.page("/plan?by=machine")).contains("F1");
        PlanJob charge =
                plan.jobs(Task.CHARGE).filter(job -> !job.pinned()).findFirst().orElseThrow();
        assertThat(maud.page("/plan?job=" + charge.id()))
                .contains(charge.battery() + " charges on " + charge.charger(), "Pin it here");
        assertThat(maud.page("/plan/list")).contains(charge.battery());
    }

    @Test
    void aSearchIsTakenUpProposedAndTaken() throws Exception {
        assertThat(maud.send("/plan").getStatus()).isEqualTo(302);
        long id = await(() -> runs.newest(State.PROPOSED)
                .filter(run -> run.madeBy() != null && run.seconds() > 1)
                .map(PlanRun::id)
                .orElse(null));
        assertThat(maud.page("/plan")).contains("Proposed", "Take this plan");
        assertThat(tom.page("/plan")).doesNotContain("Take this plan");
        assertThat(tom.send("/plan/" + id + "/take").getStatus()).isEqualTo(403);
        maud.send("/plan/" + id + "/take");
        assertThat(planning.inForce().orElseThrow().id()).isEqualTo(id);
        assertThat(maud.send("/plan/" + id + "/take").getStatus()).isEqualTo(302);
        assertThat(planning.inForce().orElseThrow().takenBy()).isEqualTo("Maud Ferrow");
    }

    private static <T> T await(Callable<T> found) {
        return Patience.await("plan", Duration.ofSeconds(60)).until(found, Objects::nonNull);
    }

    @Test
    void whatIsPinnedStaysInEveryNewPlan() throws Exception {
        PlanRun run = inForce();
        PlanJob charge = aChargeToCome(run);
        maud.send("/plan/" + run.id() + "/pin", "job", charge.id());
        planning.again("", maudId());
        assertThat(runs.plan(proposed().id()).orElseThrow().jobs(Task.CHARGE))
                .anyMatch(job -> job.pinned()
                        && job.battery().equals(charge.battery())
                        && job.start().equals(charge.start())
                        && Objects.equals(job.charger(), charge.charger()));
        maud.send("/plan/" + run.id() + "/pin", "job", charge.id());
        assertThat(runs.plan(run.id()).orElseThrow().jobs())
                .filteredOn(PlanJob::pinned)
                .noneMatch(j -> j.id().equals(charge.id()));
    }

    /** What is pinned on a charger that dies is let go: the house plans on. */
    @Test
    void whatIsPinnedOnADeadChargerIsLetGo() throws Exception {
        PlanRun run = inForce();
        PlanJob charge = aChargeToCome(run);
        maud.send("/plan/" + run.id() + "/pin", "job", charge.id());
        tom.send("/plan/wrong", "kind", "CHARGER_DEAD", "about", charge.charger(), "hours", "48");
        assertThat(runs.plan(proposed().id()).orElseThrow().jobs(Task.CHARGE))
                .filteredOn(job -> !job.start().isBefore(run.from()))
                .noneMatch(job -> charge.charger().equals(job.charger()));
        mishaps.notOver(run.from()).forEach(mishap -> mishaps.over(mishap.id(), run.from()));
        maud.send("/plan/" + run.id() + "/pin", "job", charge.id());
    }

    @Test
    void aDeadChargerIsSaidInTwoTapsAndNothingChargesOnItAnyMore() throws Exception {
        PlanRun run = inForce();
        String dead = Objects.requireNonNull(runs.plan(run.id())
                .orElseThrow()
                .jobs(Task.CHARGE)
                .filter(job -> !job.pinned() && job.charger().startsWith("C"))
                .findFirst()
                .orElseThrow()
                .charger());
        assertThat(tom.send("/plan/wrong", "kind", "CHARGER_DEAD", "about", dead, "hours", "24")
                        .getStatus())
                .isEqualTo(302);
        Plan plan = runs.plan(proposed().id()).orElseThrow();
        assertThat(plan.jobs(Task.CHARGE).filter(job -> !job.pinned())).noneMatch(job -> dead.equals(job.charger()));
        assertThat(maud.page("/plan")).contains(dead + " does not work", "What differs from the plan in force");
        assertThat(tom.page("/plan/wrong")).contains(dead + " does not work");
        mishaps.notOver(run.from()).forEach(mishap -> {
            try {
                tom.send("/plan/wrong/" + mishap.id() + "/over");
            } catch (Exception e) {
                throw new AssertionError(e);
            }
        });
        assertThat(tom.page("/plan/wrong")).contains("Nothing is wrong");
    }

    @Test
    void whatIsSaidWrongIsToldAndLosesNothing() throws Exception {
        var answer = tom.send("/plan/wrong", "kind", "CHARGER_DEAD", "about", "Z9", "hours", "many");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains("many", "1", "336");
    }

    @Test
    void theRunListIsDoneOneByOneAndWhatIsNotPossibleMakesANewPlan() throws Exception {
        PlanRun run = inForce();
        Plan plan = runs.plan(run.id()).orElseThrow();
        List<RunList> mine = RunList.of(plan, run.from(), "tom", run.from(), runs.marks(run.id()));
        assertThat(mine).isNotEmpty().allMatch(r -> !r.job().start().isBefore(run.from()));
        PlanJob first = mine.get(0).job();
        assertThat(tom.page("/plan/mine")).contains(first.battery());
        told(run, plan);
        PlanJob charge = mine.stream()
                .map(RunList::job)
                .filter(j -> j.what() == Task.CHARGE && !j.equals(first))
                .findFirst()
                .orElseThrow();
        tom.send("/plan/" + run.id() + "/not-possible", "job", charge.id(), "why", "BATTERY_FAULT");
        assertThat(proposed().because()).contains(charge.battery(), "fault");
        assertThat(runs.problem(proposed().id()).batteries())
                .filteredOn(b -> b.code().equals(charge.battery()))
                .allMatch(PoolBattery::held);
        mishaps.notOver(run.from()).forEach(m -> mishaps.over(m.id(), run.from()));
    }

    /** Watering is in the ledger with the mark, and so off every list; what has a page of its own is told there. */
    private void told(PlanRun run, Plan plan) throws Exception {
        PlanJob water = plan.jobs(Task.WATER).findFirst().orElseThrow();
        tom.send("/plan/" + run.id() + "/done", "job", water.id());
        assertThat(runs.marks(run.id())).containsKey(water.id());
        Battery watered = batteries.byCode(water.battery()).orElseThrow();
        assertThat(ledger.ofBattery(watered.id(), null, 1).get(0).kind()).isEqualTo(EntryKind.WATER);
        assertThat(Fulfilled.is(water, plan, states.stateOf(watered), null, run.from(), states.instant()))
                .isTrue();
        PlanJob charge = plan.jobs(Task.CHARGE).findFirst().orElseThrow();
        tom.send("/plan/" + run.id() + "/done", "job", charge.id());
        assertThat(runs.marks(run.id())).doesNotContainKey(charge.id());
    }

    /** What a lead lets count is in the next problem, what he types wrong is told with what is allowed, and others see it only. */
    @Test
    void aLeadShiftsWhatCountsHowMuch() throws Exception {
        inForce();
        assertThat(tom.page("/plan/weights"))
                .contains("Uneven work", "usual 0.5")
                .doesNotContain("Keep these weights");
        assertThat(tom.send("/plan/weights", "rotation", "2").getStatus()).isEqualTo(403);
        var wrong = maud.send("/plan/weights", "rotation", "much", "peak", "3");
        assertThat(wrong.getStatus()).isEqualTo(422);
        assertThat(wrong.getContentAsString()).contains("much", "100000", "value=\"3\"");
        assertThat(maud.send("/plan/weights", "rotation", "2", "peak", "").getStatus())
                .isEqualTo(302);
        assertThat(planning.problem(Planning.DAY, 0).weights()).isEqualTo(Map.of(Term.ROTATION, 2.0));
        maud.send("/plan/weights");
        assertThat(planning.problem(Planning.DAY, 0).weights()).isEmpty();
    }

    @Test
    void whatItWouldTakeIsToldForAUsualAndABadWeek() throws Exception {
        assertThat(tom.page("/plan/would-take"))
                .contains(
                        "A usual week",
                        "A bad week",
                        "One battery less",
                        "Two chargers more",
                        "stand in for one another");
        assertThat(tom.page("/plan/would-take?pool=99")).contains("One battery less");
    }

    @Test
    void aBatteryForbiddenOnAChargerIsPlannedElsewhere() throws Exception {
        PlanRun run = inForce();
        PlanJob charge = aChargeToCome(run);
        assertThat(tom.send("/plan/" + run.id() + "/forbid", "job", charge.id()).getStatus())
                .isEqualTo(403);
        maud.send("/plan/" + run.id() + "/forbid", "job", charge.id());
        assertThat(runs.plan(proposed().id()).orElseThrow().jobs(Task.CHARGE))
                .filteredOn(job -> job.battery().equals(charge.battery()) && !job.pinned())
                .noneMatch(job -> Objects.equals(job.charger(), charge.charger()));
        assertThat(maud.page("/plan/wrong")).contains("Not there: " + charge.battery() + " / " + charge.charger());
        mishaps.notOver(run.from()).forEach(m -> mishaps.over(m.id(), run.from()));
    }

    private PlanJob aChargeToCome(PlanRun run) {
        return runs.plan(run.id())
                .orElseThrow()
                .jobs(Task.CHARGE)
                .filter(job -> !job.pinned() && job.start().isAfter(run.from().plusSeconds(3600)))
                .findFirst()
                .orElseThrow();
    }

    /** How sure it is stands with the plan, and with the use it is about. */
    @Test
    void howSureEachMachineHasItsBatteryIsTold() throws Exception {
        PlanRun run = inForce();
        Plan plan = runs.plan(run.id()).orElseThrow();
        PlanJob use = plan.jobs(Task.USE)
                .filter(job -> !job.start().isBefore(run.from()))
                .findFirst()
                .orElseThrow();
        assertThat(maud.page("/plan")).contains("every battery that goes to work is ready in time");
        assertThat(maud.page("/plan?by=machine&job=" + use.id()))
                .contains(use.battery() + " is charged and cool in time in");
    }

    @Test
    void programsReadThePlanAsCsvAndJson() throws Exception {
        inForce();
        String csv = maud.page("/api/v1/plan.csv");
        assertThat(csv)
                .startsWith("start,end,what,battery,machine,charger,place,person,pinned,reason")
                .contains(",charge,", ",job,");
        assertThat(csv.lines().skip(1).map(line -> line.split(",")[2]))
                .isNotEmpty()
                .isSubsetOf("charge", "cool", "change", "water", "round", "equalise", "job");
        assertThat(maud.page("/api/v1/plan")).contains("\"what\":\"charge\"", "\"valid\":true");
    }

    /** A change takes here what the last ones took, by steps of five minutes. */
    @Test
    void theHouseLearnsHowLongAChangeTakes() {
        long job = jobs.ended(1).get(0).id();
        List<JobRecord> changes = new ArrayList<>();
        try {
            for (int i = 0; i < 40; i++) {
                JobRecord change = sql.fetchSingle(JOB, JOB.ID.eq(job)).copy();
                change.attach(sql.configuration());
                change.setProcedureId("change-battery");
                change.setEndedAt(Objects.requireNonNull(change.getBegunAt()).plusSeconds(22 * 60));
                change.setLedgerEntryId(null);
                change.store();
                changes.add(change);
            }
            assertThat(house.from(states.instant(), Duration.ofHours(12), 1, null)
                            .rules()
                            .changeMinutes())
                    .isEqualTo(20);
        } finally {
            changes.forEach(JobRecord::delete);
        }
    }
}
