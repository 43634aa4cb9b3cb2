package org.ostendum.core.plan.need;

import java.util.List;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Task;

/**
 * What a week is like.
 *
 * @param shifts wanted of all machines
 * @param unmet of them, those without a battery
 * @param energy money
 * @param mostKilowatts in the mean of a half hour, as charges draw them
 * @param cycles of a battery of the pool in the mean
 * @param mostCycles of the battery of the pool that works most
 * @param handHours of people: changes, care, plugging
 */
public record WeekSum(
        int shifts, int unmet, double energy, double mostKilowatts, double cycles, int mostCycles, double handHours) {
    static WeekSum of(PlanProblem problem, Plan plan, Pool pool) {
        List<PoolBattery> batteries = pool.batteries(problem);
        List<Integer> uses = batteries.stream()
                .map(battery -> (int) plan.jobs(Task.USE)
                        .filter(use -> use.battery().equals(battery.code()))
                        .count())
                .toList();
        double minutes = plan.jobs().stream()
                .filter(job -> job.wantsPerson())
                .mapToLong(job -> job.span().length().toMinutes())
                .sum();
        long charges = plan.jobs(Task.CHARGE).count();
        return new WeekSum(
                (int) (plan.shiftsUnmet()
                        + plan.jobs(Task.USE).filter(use -> isNew(problem, use)).count()),
                (int) plan.shiftsUnmet(),
                plan.amount(Term.ENERGY),
                plan.amount(Term.PEAK),
                uses.stream().mapToInt(Integer::intValue).average().orElse(0),
                uses.stream().mapToInt(Integer::intValue).max().orElse(0),
                (minutes + charges * problem.rules().plugMinutes()) / 60);
    }

    private static boolean isNew(PlanProblem problem, PlanJob use) {
        return !use.start().isBefore(problem.from());
    }
}
