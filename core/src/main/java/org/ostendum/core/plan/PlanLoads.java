package org.ostendum.core.plan;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.SortedMap;
import java.util.TreeMap;
import org.ostendum.core.plan.PlanProblem.Pairing;
import org.ostendum.core.plan.PlanProblem.PlanCharger;

/**
 * Power and hydrogen of a plan over time, as steps: each value holds from its moment until the next. A charge draws its charger's power
 * from its beginning to its end and gasses while it finishes; an equalising charge gasses all the while.
 */
public final class PlanLoads {
    private final SortedMap<Instant, Double> kilowatts = new TreeMap<>();
    private final SortedMap<Instant, Double> hydrogen = new TreeMap<>();

    public PlanLoads(PlanLookup lookup, List<PlanJob> jobs) {
        for (PlanJob job : jobs) {
            if (job.what().wantsCharger()) {
                PlanCharger charger = Objects.requireNonNull(lookup.charger(job.charger()));
                add(kilowatts, job.start(), job.end(), charger.kw());
                add(hydrogen, gassesFrom(lookup, job), job.end(), charger.litresPerHour());
            }
        }
    }

    private static Instant gassesFrom(PlanLookup lookup, PlanJob job) {
        Pairing pair = lookup.pairing(job.battery(), job.charger());
        if (job.what() == Task.EQUALISE || pair == null) {
            return job.start();
        }
        Instant finish = job.end().minusSeconds(Math.round(60 * pair.finishMinutes()));
        return finish.isBefore(job.start()) ? job.start() : finish;
    }

    private static void add(SortedMap<Instant, Double> steps, Instant from, Instant until, double much) {
        steps.merge(from, much, Double::sum);
        steps.merge(until, -much, Double::sum);
    }

    /** @return kW from each moment on */
    public SortedMap<Instant, Double> kilowatts() {
        return summed(kilowatts);
    }

    /** @return litres of hydrogen an hour from each moment on */
    public SortedMap<Instant, Double> hydrogen() {
        return summed(hydrogen);
    }

    private static SortedMap<Instant, Double> summed(Map<Instant, Double> steps) {
        SortedMap<Instant, Double> sums = new TreeMap<>();
        double sum = 0;
        for (Map.Entry<Instant, Double> step : steps.entrySet()) {
            sum += step.getValue();
            sums.put(step.getKey(), Math.max(0, sum));
        }
        return sums;
    }

    public double mostKilowatts() {
        return kilowatts().values().stream()
                .mapToDouble(Double::doubleValue)
                .max()
                .orElse(0);
    }
}
