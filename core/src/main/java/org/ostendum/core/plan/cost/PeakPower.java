package org.ostendum.core.plan.cost;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.Task;

/** The highest power of a plan as it is billed: the mean of a half hour, as charges really draw ({@link ChargePower}), from the plan's beginning on. */
final class PeakPower {
    private final Instant from;
    private final double[] kilowatts;

    private PeakPower(PlanProblem problem, PlanLookup lookup, List<PlanJob> jobs) {
        from = problem.from();
        List<PlanJob> drawing =
                jobs.stream().filter(job -> job.what().wantsCharger()).toList();
        long last = drawing.stream().mapToLong(job -> seconds(job.end())).max().orElse(0);
        kilowatts = new double[HalfHour.of(Math.max(0, last)) + 1];
        for (PlanJob job : drawing) {
            PlanCharger charger = Objects.requireNonNull(lookup.charger(job.charger()));
            draw(job, charger.kw());
        }
    }

    /** @return kW; what the meter has reached already where the plan stays below it */
    static double of(PlanProblem problem, PlanLookup lookup, List<PlanJob> jobs) {
        double most = problem.room().kwReached();
        for (double mean : new PeakPower(problem, lookup, jobs).kilowatts) {
            most = Math.max(most, mean);
        }
        return most;
    }

    private long seconds(Instant at) {
        return Duration.between(from, at).toSeconds();
    }

    private void draw(PlanJob job, double full) {
        if (job.what() == Task.EQUALISE) {
            add(seconds(job.start()), seconds(job.end()), full * ChargePower.AT_THE_END);
        } else {
            ChargePower.parts(
                    seconds(job.start()), seconds(job.end()), (start, end, part) -> add(start, end, full * part));
        }
    }

    private void add(long start, long end, double drawn) {
        for (int half = Math.max(0, HalfHour.of(start)); half <= HalfHour.last(end); half++) {
            kilowatts[half] += drawn * HalfHour.part(half, start, end);
        }
    }
}
