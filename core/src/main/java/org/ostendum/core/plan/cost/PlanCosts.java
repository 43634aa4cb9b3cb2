package org.ostendum.core.plan.cost;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.Plan.TermCost;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.Lateness;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/** What a plan costs, by the named terms: the one measure by which plans are compared, whoever made them. */
public final class PlanCosts {
    /** What starts within it starts when it did before: nobody is sent elsewhere by it. */
    private static final Duration SAME_START = Duration.ofMinutes(15);

    private final PlanProblem problem;
    private final Plan plan;
    private final PlanLookup lookup;
    private final Map<String, Instant> neededAt;
    private final Map<String, List<PlanJob>> byBattery = new LinkedHashMap<>();

    private PlanCosts(PlanProblem problem, Plan plan) {
        this.problem = problem;
        this.plan = plan;
        this.lookup = new PlanLookup(problem);
        this.neededAt = PlanLookup.neededAt(plan);
        problem.batteries().forEach(battery -> byBattery.put(battery.code(), new ArrayList<>()));
        plan.jobs().forEach(job -> Objects.requireNonNull(byBattery.get(job.battery()))
                .add(job));
    }

    /** @return every term once, in their order */
    public static List<TermCost> of(PlanProblem problem, Plan plan) {
        PlanCosts costs = new PlanCosts(problem, plan);
        return Arrays.stream(Term.values())
                .map(term -> costs.cost(term, costs.amount(term)))
                .toList();
    }

    public static double weight(PlanProblem problem, Term term) {
        return problem.weights().getOrDefault(term, term.usualWeight());
    }

    private TermCost cost(Term term, double amount) {
        double weight = weight(problem, term);
        return new TermCost(term, weight, amount, weight * amount);
    }

    private double amount(Term term) {
        return switch (term) {
            case UNMET -> plan.shiftsUnmet();
            case OVERDUE -> sum(this::daysLate);
            case UNCHARGED -> sum(battery -> leftUncharged(battery) ? 1 : 0);
            case LATE -> sum(this::late);
            case ENERGY -> energy();
            case PEAK -> PeakPower.of(problem, lookup, plan.jobs());
            case ROTATION -> rotation();
            case REST -> sum(this::hoursShortOfRest);
            case CHANGES -> plan.jobs(Task.CHANGE).count();
            case HURRY -> Hurry.changes(plan);
            case QUIET -> quiet();
            case MOVED -> moved();
        };
    }

    private double sum(ToDoubleFunction<PoolBattery> amount) {
        return problem.batteries().stream().mapToDouble(amount).sum();
    }

    private List<PlanJob> jobsOf(PoolBattery battery) {
        return Objects.requireNonNull(byBattery.get(battery.code()));
    }

    private double daysLate(PoolBattery battery) {
        double days = 0;
        for (Due due : battery.due()) {
            Instant done = jobsOf(battery).stream()
                    .filter(job -> job.what() == due.what() && !job.start().isBefore(due.from()))
                    .map(PlanJob::start)
                    .findFirst()
                    .orElse(problem.until());
            days += Math.max(0, Duration.between(due.until(), done).toMinutes() / 1440.0);
        }
        return days;
    }

    /** One that has come back shortly before the end is left to the plan after. */
    private boolean leftUncharged(PoolBattery battery) {
        double missing = battery.missingAh();
        Instant since = problem.from();
        for (PlanJob job : jobsOf(battery)) {
            if (job.what() == Task.USE || job.isOnBench()) {
                missing = 1;
                since = job.end();
            } else if (job.what() == Task.CHARGE) {
                missing = 0;
            }
        }
        return missing > 0
                && !battery.held()
                && since.plus(Uncharged.LEFT_TO_NEXT).isBefore(problem.until());
    }

    /** By the charge before each use alone; what waits for another charge is drawn by {@link InTime}. */
    private double late(PoolBattery battery) {
        double shifts = 0;
        @Nullable PlanJob charge = null;
        @Nullable Instant ready = null;
        for (PlanJob job : jobsOf(battery)) {
            if (job.what() == Task.CHARGE) {
                charge = job;
            }
            if (job.what().runsByItself()) {
                ready = job.end();
            } else if (job.what() == Task.USE && charge != null && ready != null) {
                shifts += late(charge, ready, Objects.requireNonNull(neededAt.get(job.id())));
                charge = null;
            }
        }
        return shifts;
    }

    private double late(PlanJob charge, Instant ready, Instant needed) {
        Pairing pair = lookup.pairing(charge.battery(), charge.charger());
        return pair == null
                ? 0
                : Lateness.chance(
                        Duration.between(charge.start(), charge.end()).toSeconds(),
                        pair.spread(),
                        Duration.between(ready, needed).toSeconds());
    }

    private double energy() {
        EnergyPrice price = new EnergyPrice(problem.tariff());
        return plan.jobs().stream()
                .filter(job -> job.what().wantsCharger())
                .mapToDouble(job -> {
                    PlanCharger charger = Objects.requireNonNull(lookup.charger(job.charger()));
                    return charger.kw() * price.hoursTimesPrice(job.start(), job.end());
                })
                .sum();
    }

    /** Squares, so that the one that works most costs most; what it costs to leave everybody where he was is taken off. */
    private double rotation() {
        Map<String, Integer> handicaps = Rotation.handicaps(problem);
        double sum = 0;
        for (PoolBattery battery : problem.batteries()) {
            int handicap = handicaps.getOrDefault(battery.code(), 0);
            long uses = jobsOf(battery).stream()
                    .filter(job -> job.what() == Task.USE && !lookup.isFixed(battery.code()))
                    .count();
            sum += Rotation.cost(handicap, (int) uses);
        }
        return sum;
    }

    private double hoursShortOfRest(PoolBattery battery) {
        if (lookup.isFixed(battery.code())) {
            return 0;
        }
        double hours = 0;
        @Nullable Instant ready = null;
        for (PlanJob job : jobsOf(battery)) {
            if (job.what() == Task.USE && ready != null) {
                hours += Rest.hoursShort(ready, job.start());
            }
            if (job.what() == Task.CHARGE || job.what() == Task.EQUALISE || job.what() == Task.COOL) {
                ready = job.end();
            }
        }
        return hours;
    }

    private double quiet() {
        return plan.jobs().stream()
                .filter(job -> {
                    Worker worker = lookup.worker(job.person());
                    return worker != null && worker.isQuiet(job.span());
                })
                .count();
    }

    private double moved() {
        Plan earlier = problem.earlier();
        if (earlier == null) {
            return 0;
        }
        Map<String, List<PlanJob>> now = new HashMap<>();
        plan.jobs().forEach(job -> now.computeIfAbsent(place(job), any -> new ArrayList<>())
                .add(job));
        return earlier.jobs().stream()
                .filter(job -> job.what() == Task.USE || job.what() == Task.CHARGE)
                .filter(job ->
                        !job.start().isBefore(problem.from()) && job.start().isBefore(problem.until()))
                .filter(job -> now.getOrDefault(place(job), List.of()).stream().noneMatch(other -> same(job, other)))
                .count();
    }

    private static String place(PlanJob job) {
        return job.what() + " " + job.battery() + " " + job.machine() + " " + job.charger();
    }

    private static boolean same(PlanJob before, PlanJob now) {
        return Duration.between(before.start(), now.start()).abs().compareTo(SAME_START) <= 0;
    }
}
