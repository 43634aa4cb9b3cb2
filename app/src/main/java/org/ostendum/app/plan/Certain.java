package org.ostendum.app.plan;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.InTime;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Task;

/**
 * How sure it is that each machine has its battery in time, of a hundred times.
 *
 * @param all times in which every machine has
 * @param least the least sure, at most three, the least first
 */
record Certain(int all, List<Use> least, Map<String, Double> byUse) {
    private static final int DRAWS = 200;
    private static final long SEED = 1;
    private static final int TOLD = 3;
    private static final double SURE = 0.99;

    /** A use with how often of a hundred times its battery is ready. */
    record Use(PlanJob job, int times) {}

    static Certain of(PlanProblem problem, Plan plan) {
        InTime drawn = InTime.of(problem, plan, DRAWS, SEED);
        List<Use> least = plan.jobs(Task.USE)
                .filter(job -> drawn.byUse().getOrDefault(job.id(), 1.0) < SURE)
                .map(job -> new Use(job, hundredths(drawn.byUse().getOrDefault(job.id(), 1.0))))
                .sorted(Comparator.comparingInt(Use::times))
                .limit(TOLD)
                .toList();
        return new Certain(hundredths(drawn.all()), least, drawn.byUse());
    }

    /** @return times of a hundred that the battery of a use, or of the change before it, is ready; null for other jobs */
    @Nullable
    public Integer times(Plan plan, PlanJob job) {
        return plan.jobs(Task.USE)
                .filter(use -> use.machine() != null
                        && use.machine().equals(job.machine())
                        && use.shift() != null
                        && use.shift().equals(job.shift()))
                .map(use -> byUse.get(use.id()))
                .filter(part -> part != null)
                .map(Certain::hundredths)
                .findFirst()
                .orElse(null);
    }

    private static int hundredths(double part) {
        return (int) Math.round(100 * part);
    }
}
