package org.ostendum.core.plan;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.SortedMap;
import java.util.TreeMap;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.Task;

/**
 * Power and hydrogen of a plan over time, as steps: each value holds from its moment until the next. A charge draws its charger's power
 * from its beginning to its end and gasses while it finishes; an equalising charge gasses all the while.
 */
public final class PlanLoads {
    private final SortedMap<Instant, Double> kilowatts = new TreeMap<>();
    private final SortedMap<Instant, Double> hydrogen = new TreeMap<>();
    private final Map<String, SortedMap<Instant, Double>> airs = new HashMap<>();

    public PlanLoads(PlanLookup lookup, List<PlanJob> jobs) {
        for (PlanJob job : jobs) {
            if (job.what().wantsCharger()) {
                PlanCharger charger = Objects.requireNonNull(lookup.charger(job.charger()));
                add(kilowatts, job.start(), job.end(), charger.kw());
                Instant gasses = gassesFrom(lookup, job);
                add(hydrogen, gasses, job.end(), charger.litresPerHour());
                add(
                        airs.computeIfAbsent(charger.air(), any -> new TreeMap<>()),
                        gasses,
                        job.end(),
                        charger.litresPerHour());
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

    /** @return the same for the chargers of one air */
    public SortedMap<Instant, Double> hydrogen(String air) {
        return summed(airs.getOrDefault(air, new TreeMap<>()));
    }

    /**
     * @param most litres an hour that each air carries off, by its name
     * @return parts of what it carries off, from each moment on, in the air that has most of it then
     */
    public SortedMap<Instant, Double> fullestAir(Map<String, Double> most) {
        Map<String, SortedMap<Instant, Double>> steps = new HashMap<>();
        SortedMap<Instant, Double> fullest = new TreeMap<>();
        most.keySet().forEach(air -> steps.put(air, hydrogen(air)));
        steps.values().forEach(own -> own.keySet().forEach(at -> fullest.put(at, 0.0)));
        fullest.replaceAll((at, none) -> most.entrySet().stream()
                .mapToDouble(air -> at(Objects.requireNonNull(steps.get(air.getKey())), at) / air.getValue())
                .max()
                .orElse(0));
        return fullest;
    }

    public static double at(SortedMap<Instant, Double> steps, Instant at) {
        SortedMap<Instant, Double> until = steps.headMap(at.plusNanos(1));
        return until.isEmpty() ? 0 : Objects.requireNonNull(until.get(until.lastKey()));
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
}
