package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Task;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.sim.room.RoomMaker;

/** What is kept comes back as it was: whoever takes up a search plans the same room. */
class StoredPlanTest {
    private final StoredPlan stored = new StoredPlan();

    @Test
    void aProblemComesBackAsItWas() {
        PlanProblem made = RoomMaker.make(new RoomMaker.Size(12, 2, true), 3, 4);
        Plan plan = PlanMaker.byRuleOfThumb(made);
        PlanProblem problem = new PlanProblem(
                made.from(),
                made.until(),
                3,
                4,
                null,
                List.of(plan.jobs().get(0).withPinned(true)),
                made.machines(),
                made.batteries(),
                made.chargers(),
                made.charging(),
                made.people(),
                made.room(),
                made.tariff(),
                made.rules(),
                Map.of(Term.PEAK, 3.0));
        PlanProblem back = stored.problem(stored.write(problem));
        assertThat(back.pinned())
                .extracting(PlanJob::id)
                .isEqualTo(problem.pinned().stream().map(PlanJob::id).toList());
        assertThat(back).usingRecursiveComparison().ignoringFields("pinned").isEqualTo(problem);
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
