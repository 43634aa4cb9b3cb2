package org.ostendum.app.plan.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PlanSite;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.RoomLimits;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;
import org.ostendum.sim.room.RoomMaker;

/** What is kept comes back as it was: whoever takes up a search plans the same room. */
class StoredPlanTest {
    private final StoredPlan stored = new StoredPlan();

    @Test
    void aProblemComesBackAsItWas() {
        PlanProblem made = RoomMaker.make(new RoomMaker.Size(12, 2, true), 3, 4);
        Plan plan = PlanMaker.byRuleOfThumb(made);
        List<PlanMachine> machines = new ArrayList<>(made.machines());
        machines.replaceAll(machine -> refusing(machine, made.batteries().get(0).code()));
        List<PoolBattery> batteries = new ArrayList<>(made.batteries());
        batteries.replaceAll(StoredPlanTest::tested);
        PlanProblem problem = new PlanProblem(
                made.from(),
                made.until(),
                3,
                4,
                null,
                List.of(plan.jobs().get(0).withPinned(true)),
                new PlanSite(
                        machines,
                        batteries,
                        made.chargers().stream().map(StoredPlanTest::inHall).toList(),
                        made.charging(),
                        made.people().stream().map(StoredPlanTest::withBreak).toList(),
                        new RoomLimits(60.0, null, Map.of("hall", 900.0), 41.5),
                        made.tariff(),
                        made.rules()),
                Map.of(Term.PEAK, 3.0));
        PlanProblem back = stored.problem(stored.write(problem));
        assertThat(back.pinned())
                .extracting(PlanJob::id)
                .isEqualTo(problem.pinned().stream().map(PlanJob::id).toList());
        assertThat(back).usingRecursiveComparison().ignoringFields("pinned").isEqualTo(problem);
    }

    private static PlanMachine refusing(PlanMachine m, String battery) {
        return new PlanMachine(
                m.code(),
                m.volts(),
                m.connector(),
                m.weightFromKg(),
                m.weightToKg(),
                m.battery(),
                m.fixed(),
                Set.of(battery),
                m.shifts());
    }

    private static PoolBattery tested(PoolBattery b) {
        Due test = new Due(Task.TEST, RoomMaker.BEGINS, RoomMaker.BEGINS, 30, 480);
        return new PoolBattery(
                b.code(),
                b.volts(),
                b.connector(),
                b.weightKg(),
                b.capacityAh(),
                b.missingAh(),
                b.coolUntil(),
                b.held(),
                b.leastSoc(),
                b.cycles(),
                b.place(),
                List.of(test));
    }

    private static PlanCharger inHall(PlanCharger c) {
        return new PlanCharger(
                c.code(), c.volts(), c.connector(), c.place(), c.kw(), c.litresPerHour(), "hall", c.away());
    }

    private static Worker withBreak(Worker w) {
        return new Worker(w.code(), w.may(), w.shifts(), w.shifts());
    }

    @Test
    void aPlanComesBackWithItsReasonsAndWhatIsUnmet() {
        PlanProblem problem = RoomMaker.make(new RoomMaker.Size(12, 2, true), 3, 5);
        Plan made = PlanMaker.byRuleOfThumb(problem);
        Plan plan = new Plan(
                made.jobs(),
                List.of(
                        new Plan.Unmet(
                                "F1",
                                "s",
                                null,
                                null,
                                problem.from(),
                                Message.of("plan.unmet.late", "B", problem.from())),
                        new Plan.Unmet(null, null, "B1", Task.WATER, problem.from(), Message.of("plan.unmet.care"))),
                made.terms(),
                1.5,
                true);
        assertThat(stored.plan(stored.write(plan))).isEqualTo(plan);
        assertThat(plan.jobs())
                .extracting(PlanJob::reason)
                .anyMatch(
                        reason -> reason != null && reason.arguments().stream().anyMatch(Instant.class::isInstance));
    }
}
