package org.ostendum.planner;

import java.util.Comparator;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.cost.PlanCosts;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.Task;

/**
 * How much of a plan in force may be otherwise in the plan made after it. People have to know it again: beyond a share of its uses and
 * charges each that moves weighs as much as a shift without a battery, whatever is gained by it.
 */
final class Disturbance {
    /** Of the uses and charges that could stay. Rule of thumb. */
    static final double MAY_MOVE = 0.05;

    private final PlanProblem problem;
    private final Plan earlier;
    private final PlanLookup lookup;

    /** @param earlier the plan in force */
    Disturbance(PlanProblem problem, Plan earlier) {
        this.problem = problem;
        this.earlier = earlier;
        this.lookup = new PlanLookup(problem);
    }

    /** @return the better plan first */
    Comparator<Plan> betterFirst() {
        long mustMove = earlier.jobs(Task.CHARGE).filter(this::mustMove).count();
        long jobs = earlier.jobs(Task.CHARGE).count() + earlier.jobs(Task.USE).count();
        double mayMove = mustMove + MAY_MOVE * (jobs - mustMove);
        double unmet = PlanCosts.weight(problem, Term.UNMET);
        return Comparator.comparingDouble(plan -> plan.cost() + unmet * Math.max(0, plan.amount(Term.MOVED) - mayMove));
    }

    /** Its charger cannot be used any more: that is nobody’s choice. */
    private boolean mustMove(PlanJob charge) {
        PlanCharger charger = lookup.charger(charge.charger());
        return charger == null || charger.away().stream().anyMatch(away -> away.touches(charge.span()));
    }
}
