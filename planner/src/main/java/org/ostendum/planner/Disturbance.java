package org.ostendum.planner;

import java.util.Comparator;
import java.util.List;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.cost.PlanCosts;
import org.ostendum.core.plan.room.Task;

/**
 * How much of a plan in force may be otherwise in the plan made after it, beside what has to be. People have to know it again: beyond a
 * share of its uses and charges each that moves weighs as much as a shift without a battery, whatever is gained by it.
 */
final class Disturbance {
    /** Of the uses and charges. Rule of thumb. */
    private static final double MAY_MOVE = 0.05;

    /** A little is left for what moves where the plan is put together. */
    private static final double IN_THE_SEARCH = 0.8 * MAY_MOVE;

    private Disturbance() {}

    /**
     * @param earlier the plan in force
     * @param left what is left of it: what moves there had to
     * @return the better plan first
     */
    static Comparator<Plan> betterFirst(PlanProblem problem, Plan earlier, Plan left) {
        long jobs = earlier.jobs().stream()
                .filter(job -> job.what() == Task.USE || job.what() == Task.CHARGE)
                .filter(job -> !job.start().isBefore(problem.from()))
                .count();
        double mayMove = left.amount(Term.MOVED) + MAY_MOVE * jobs;
        double unmet = PlanCosts.weight(problem, Term.UNMET);
        return Comparator.comparingDouble(plan -> plan.cost() + unmet * Math.max(0, plan.amount(Term.MOVED) - mayMove));
    }

    /**
     * @param works as the search begins
     * @return how many may be otherwise while it goes on
     */
    static long mayMove(List<WorkAndCharge> works) {
        long moved = works.stream().mapToLong(WorkAndCharge::moves).sum();
        long most = works.stream().mapToLong(WorkAndCharge::mostMoves).sum();
        return moved + Math.round(IN_THE_SEARCH * most);
    }
}
