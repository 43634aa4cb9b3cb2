package org.ostendum.core.plan.make;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.cost.EnergyPrice;
import org.ostendum.core.plan.cost.PlanCosts;
import org.ostendum.core.plan.cost.Rest;
import org.ostendum.core.plan.cost.Uncharged;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Price;
import org.ostendum.core.plan.room.Task;

/**
 * Lets each charge of a plan wait for cheaper hours where nothing is lost by it: whoever works when stays, and each battery is ready
 * when it has to be. One charge after the other, so that the result is good at once and the search goes on from there.
 */
public final class Cheaper {
    private static final int ROUNDS = 2;

    private final PlanProblem problem;
    private final PlanLookup lookup;
    private final EnergyPrice price;
    private final double energyWeight;
    private final double restWeight;
    private final List<Slack> charges = new ArrayList<>();

    private Cheaper(PlanProblem problem) {
        this.problem = problem;
        this.lookup = new PlanLookup(problem);
        this.price = new EnergyPrice(problem.tariff());
        this.energyWeight = PlanCosts.weight(problem, Term.ENERGY);
        this.restWeight = PlanCosts.weight(problem, Term.REST);
    }

    /** A charge, when it may begin, when its battery has to be ready and when it works; null where it need not rest before. */
    private static final class Slack {
        private final String key;
        private final String battery;
        private final double missing;
        private final long from;
        private final long ready;
        private final @Nullable Long works;
        private Resources.Place place;

        Slack(
                String key,
                String battery,
                double missing,
                long from,
                long ready,
                @Nullable Long works,
                Resources.Place place) {
            this.key = key;
            this.battery = battery;
            this.missing = missing;
            this.from = from;
            this.ready = ready;
            this.works = works;
            this.place = place;
        }
    }

    /** @return a plan that costs no more than the one it began from, whose care may lie elsewhere */
    public static Plan than(PlanProblem problem, Plan plan) {
        Decisions waiting = decided(problem, PlanMaker.make(withoutCare(problem), Decisions.of(problem, plan)));
        Plan found = PlanMaker.make(problem, waiting);
        return Collections.min(List.of(plan, found), Plan.BETTER_FIRST);
    }

    /** Care is put in at the end, where there is room: it does not hold up a charge. */
    private static PlanProblem withoutCare(PlanProblem problem) {
        return problem.with(site -> site.withBatteries(
                problem.batteries().stream().map(PoolBattery::withoutCare).toList()));
    }

    private static Decisions decided(PlanProblem problem, Plan plan) {
        Cheaper cheaper = new Cheaper(problem);
        cheaper.gather(plan);
        cheaper.wait(plan);
        Map<String, Decisions.Charge> charges = new HashMap<>();
        cheaper.charges.forEach(slack -> charges.put(
                slack.key,
                new Decisions.Charge(
                        slack.place.pair().charger(), problem.from().plusSeconds(slack.place.start()))));
        return Decisions.of(problem, plan).withCharges(charges);
    }

    private long seconds(Instant at) {
        return Duration.between(problem.from(), at).toSeconds();
    }

    private void gather(Plan plan) {
        Map<String, List<PlanJob>> byBattery = new HashMap<>();
        plan.jobs().forEach(job -> byBattery
                .computeIfAbsent(job.battery(), any -> new ArrayList<>())
                .add(job));
        for (PoolBattery battery : problem.batteries()) {
            List<PlanJob> jobs = byBattery.getOrDefault(battery.code(), List.of());
            String key = Decisions.first(battery.code());
            double missing = battery.missingAh();
            long from = 0;
            for (int i = 0; i < jobs.size(); i++) {
                PlanJob job = jobs.get(i);
                if (job.what() == Task.USE) {
                    key = Decisions.shift(Objects.requireNonNull(job.machine()), Objects.requireNonNull(job.shift()));
                    missing += Objects.requireNonNull(lookup.shift(job.machine(), job.shift()))
                            .ah();
                    from = Math.max(0, seconds(job.end()));
                } else if (job.what() == Task.CHARGE) {
                    if (!job.pinned()) {
                        charges.add(slack(key, job, missing, from, jobs.subList(i + 1, jobs.size())));
                    }
                    missing = 0;
                }
            }
        }
    }

    private Slack slack(String key, PlanJob charge, double missing, long from, List<PlanJob> after) {
        Pairing pair = Objects.requireNonNull(lookup.pairing(charge.battery(), charge.charger()));
        boolean rests = !lookup.isFixed(charge.battery());
        long cool = rests ? 60L * problem.rules().coolMinutes() : 0;
        @Nullable Long ready = null;
        @Nullable Long works = null;
        for (PlanJob job : after) {
            if (job.what() != Task.COOL && ready == null) {
                ready = seconds(job.start()) - cool;
            }
            if (job.what() == Task.USE) {
                works = rests ? seconds(job.start()) : null;
                break;
            }
        }
        Resources.Place place = new Resources.Place(pair, seconds(charge.start()), seconds(charge.end()));
        return new Slack(key, charge.battery(), missing, from, ready == null ? Long.MAX_VALUE : ready, works, place);
    }

    private void wait(Plan plan) {
        Resources resources = new Resources(problem);
        plan.jobs().stream()
                .filter(PlanJob::pinned)
                .filter(job -> job.what().wantsCharger())
                .forEach(job -> {
                    long start = resources.seconds(job.start());
                    resources.takeCharger(
                            Objects.requireNonNull(job.charger()), start, start, resources.seconds(job.end()));
                });
        charges.forEach(slack -> take(resources, slack.place, 1));
        for (int round = 0; round < ROUNDS; round++) {
            charges.sort(Comparator.comparingLong((Slack slack) -> slack.ready).thenComparing(slack -> slack.key));
            for (Slack slack : charges) {
                take(resources, slack.place, -1);
                slack.place = best(resources, slack);
                take(resources, slack.place, 1);
            }
        }
    }

    private static void take(Resources resources, Resources.Place place, int sign) {
        long gasFrom = Math.max(
                place.start(), place.end() - Math.round(60 * place.pair().finishMinutes()));
        if (sign > 0) {
            resources.takeCharger(place.pair().charger(), place.start(), gasFrom, place.end());
        } else {
            resources.giveBack(place.pair().charger(), place.start(), gasFrom, place.end());
        }
    }

    private Resources.Place best(Resources resources, Slack slack) {
        Resources.Place best = slack.place;
        double least = cost(slack, best);
        Map<Long, Set<Long>> starts = new HashMap<>();
        for (Pairing pair : lookup.chargersFor(slack.battery).values()) {
            for (long start : starts.computeIfAbsent(pair.seconds(slack.missing), lasts -> starts(slack, lasts))) {
                Resources.Place place =
                        resources.onCharger(pair, slack.missing, start).orElse(null);
                if (place != null && fits(slack, place) && cost(slack, place) < least - 1e-9) {
                    best = place;
                    least = cost(slack, place);
                }
            }
        }
        return best;
    }

    private static boolean fits(Slack slack, Resources.Place place) {
        return place.end() <= slack.ready && place.start() <= slack.from + Uncharged.WAITS_AT_MOST.toSeconds();
    }

    /** At once, where the price changes, and as late as can be. */
    private Set<Long> starts(Slack slack, long lasts) {
        long last = Math.min(slack.from + Uncharged.WAITS_AT_MOST.toSeconds(), slack.ready - lasts);
        Set<Long> starts = new TreeSet<>();
        starts.add(slack.from);
        for (Price change : problem.tariff()) {
            long at = seconds(change.start());
            starts.add(at);
            starts.add(at - lasts);
        }
        starts.add(last - Math.floorMod(last, 60L));
        starts.removeIf(start -> start < slack.from || start > last);
        return starts;
    }

    private double cost(Slack slack, Resources.Place place) {
        PlanCharger charger = Objects.requireNonNull(lookup.charger(place.pair().charger()));
        double money = charger.kw()
                * price.hoursTimesPrice(
                        problem.from().plusSeconds(place.start()),
                        problem.from().plusSeconds(place.end()));
        double rest = slack.works == null
                ? 0
                : Rest.hoursShort(
                        (slack.works - place.end()) / 3600.0 - problem.rules().coolMinutes() / 60.0);
        return energyWeight * money + restWeight * rest;
    }
}
