package org.ostendum.core.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.SplittableRandom;
import org.ostendum.core.plan.room.Lateness;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.Task;

/**
 * How likely each machine has its battery in time, by living through the plan again and again with charges of drawn lengths: one that
 * is late keeps its charger from the next, and its battery from work.
 *
 * @param byUse id of a use to the part of all draws in which its battery was ready, 0 to 1, in the order of time
 * @param all part of the draws in which every battery was
 */
public record InTime(Map<String, Double> byUse, double all) {
    public InTime {
        byUse = Map.copyOf(byUse);
    }

    /** @param draws 1 and up; the standard error of a part is at most half of 1/√draws */
    public static InTime of(PlanProblem problem, Plan plan, int draws, long seed) {
        return new Draws(problem, plan, seed).run(draws);
    }

    private static final class Draws {
        private final PlanProblem problem;
        private final PlanLookup lookup;
        private final List<PlanJob> jobs;
        private final Map<String, Instant> neededAt;
        private final SplittableRandom random;
        private final Map<String, Integer> times = new LinkedHashMap<>();
        private final Map<String, Instant> batteryFree = new HashMap<>();
        private final Map<String, Instant> chargerFree = new HashMap<>();

        Draws(PlanProblem problem, Plan plan, long seed) {
            this.problem = problem;
            this.lookup = new PlanLookup(problem);
            this.jobs = plan.jobs();
            this.neededAt = PlanLookup.neededAt(plan);
            this.random = new SplittableRandom(seed);
            jobs.stream().filter(this::isAsked).forEach(use -> times.put(use.id(), 0));
        }

        private boolean isAsked(PlanJob job) {
            return job.what() == Task.USE && !job.start().isBefore(problem.from());
        }

        InTime run(int draws) {
            int whole = 0;
            for (int i = 0; i < draws; i++) {
                whole += once() ? 1 : 0;
            }
            Map<String, Double> parts = new LinkedHashMap<>();
            times.forEach((use, many) -> parts.put(use, many / (double) draws));
            return new InTime(parts, whole / (double) draws);
        }

        /** @return whether every battery was in time */
        private boolean once() {
            batteryFree.clear();
            chargerFree.clear();
            boolean all = true;
            for (PlanJob job : jobs) {
                Instant free = batteryFree.getOrDefault(job.battery(), Instant.MIN);
                if (isAsked(job)) {
                    boolean ready = !free.isAfter(Objects.requireNonNull(neededAt.get(job.id())));
                    all &= ready;
                    times.merge(job.id(), ready ? 1 : 0, Integer::sum);
                }
                if (job.what() == Task.USE) {
                    batteryFree.put(job.battery(), later(free, job.end()));
                } else if (job.isOnBench()) {
                    batteryFree.put(job.battery(), later(free, job.end()));
                } else if (job.what().runsByItself()) {
                    batteryFree.put(job.battery(), ran(job, free));
                }
            }
            return all;
        }

        private Instant ran(PlanJob job, Instant free) {
            Duration planned = Duration.between(later(job.start(), problem.from()), job.end());
            if (job.charger() == null) {
                return (free.equals(Instant.MIN) ? later(job.start(), problem.from()) : free).plus(planned);
            }
            Instant idle = later(free, chargerFree.getOrDefault(job.charger(), Instant.MIN));
            Instant start = later(later(job.start(), problem.from()), idle);
            Instant end = start.plus(job.what() == Task.CHARGE ? drawn(job, planned) : planned);
            chargerFree.put(job.charger(), end);
            return end;
        }

        private Duration drawn(PlanJob charge, Duration planned) {
            Pairing pair = lookup.pairing(charge.battery(), charge.charger());
            double spread = pair == null ? Lateness.USUAL_SPREAD : pair.spread();
            return Duration.ofSeconds(Math.round(planned.toSeconds() * Lateness.part(spread, random.nextGaussian())));
        }

        private static Instant later(Instant one, Instant other) {
            return one.isAfter(other) ? one : other;
        }
    }
}
