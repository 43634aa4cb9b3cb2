package org.ostendum.planner;

import ai.timefold.solver.core.api.domain.solution.cloner.SolutionCloner;
import java.util.ArrayList;
import java.util.List;

/** Keeps the best that was found while the search goes on; the library's own way looks each field up, for each work. */
public final class RoomPlanCloner implements SolutionCloner<RoomPlan> {
    @Override
    public RoomPlan cloneSolution(RoomPlan plan) {
        List<WorkAndCharge> works = new ArrayList<>(plan.getWorks().size());
        plan.getWorks().forEach(work -> works.add(work.copy()));
        RoomPlan copy = new RoomPlan(works, plan.getPricing(), plan.problem(), plan.mayMove());
        copy.setScore(plan.getScore());
        return copy;
    }
}
