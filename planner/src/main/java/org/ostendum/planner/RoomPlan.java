package org.ostendum.planner;

import ai.timefold.solver.core.api.domain.solution.PlanningEntityCollectionProperty;
import ai.timefold.solver.core.api.domain.solution.PlanningScore;
import ai.timefold.solver.core.api.domain.solution.PlanningSolution;
import ai.timefold.solver.core.api.domain.solution.ProblemFactProperty;
import ai.timefold.solver.core.api.domain.valuerange.CountableValueRange;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeFactory;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.score.buildin.hardmediumsoftlong.HardMediumSoftLongScore;
import java.util.List;
import org.jspecify.annotations.NullUnmarked;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.cost.Uncharged;

/** A room as the solver searches it. Medium counts shifts without a battery, the soonest most; soft the other terms in hundredths. */
@PlanningSolution(solutionCloner = RoomPlanCloner.class)
@NullUnmarked
public class RoomPlan {
    static final int MOST_WAITS = (int) (Uncharged.WAITS_AT_MOST.toSeconds() / WorkAndCharge.WAIT_STEP);

    @PlanningEntityCollectionProperty
    private List<WorkAndCharge> works;

    @ProblemFactProperty
    private Pricing pricing;

    private PlanProblem problem;

    private long mayMove;

    @PlanningScore
    private HardMediumSoftLongScore score;

    public RoomPlan() {}

    RoomPlan(List<WorkAndCharge> works, Pricing pricing, PlanProblem problem, long mayMove) {
        this.mayMove = mayMove;
        this.works = works;
        this.pricing = pricing;
        this.problem = problem;
    }

    @ValueRangeProvider(id = "waits")
    public CountableValueRange<Integer> getWaits() {
        return ValueRangeFactory.createIntValueRange(0, MOST_WAITS + 1);
    }

    public List<WorkAndCharge> getWorks() {
        return works;
    }

    public Pricing getPricing() {
        return pricing;
    }

    long shiftsUnmet() {
        return works.stream().filter(work -> !work.first && !work.isWorked()).count();
    }

    /** @return how many uses and charges may be otherwise than in the plan in force */
    long mayMove() {
        return mayMove;
    }

    PlanProblem problem() {
        return problem;
    }

    public HardMediumSoftLongScore getScore() {
        return score;
    }

    public void setScore(HardMediumSoftLongScore score) {
        this.score = score;
    }
}
