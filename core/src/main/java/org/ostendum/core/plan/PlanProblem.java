package org.ostendum.core.plan;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PlanSite;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Price;
import org.ostendum.core.plan.room.RoomLimits;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Times;
import org.ostendum.core.plan.room.Worker;

/**
 * A room to be planned: what is there, for what time, and what is in force already. It carries everything the plan depends on, so that
 * a program may plan a room of its own.
 *
 * @param from nothing new begins before
 * @param until nothing new begins at or after; what has begun may go on
 * @param seconds to search for, 0 for the rule of thumb alone
 * @param seed of the search: the same seed and the same number of steps give the same plan
 * @param earlier plan in force, to be disturbed little; null for none
 * @param pinned jobs that stay as they are; those begun before {@code from} are facts
 * @param site what is there
 * @param weights by name of the term; one not named has its usual weight
 */
public record PlanProblem(
        Instant from,
        Instant until,
        int seconds,
        long seed,
        @Nullable Plan earlier,
        List<PlanJob> pinned,
        PlanSite site,
        Map<Term, Double> weights) {
    public PlanProblem {
        pinned = List.copyOf(pinned);
        weights = Map.copyOf(weights);
    }

    public List<PlanMachine> machines() {
        return site.machines();
    }

    public List<PoolBattery> batteries() {
        return site.batteries();
    }

    public List<PlanCharger> chargers() {
        return site.chargers();
    }

    public List<Pairing> charging() {
        return site.charging();
    }

    public List<Worker> people() {
        return site.people();
    }

    public RoomLimits room() {
        return site.room();
    }

    public List<Price> tariff() {
        return site.tariff();
    }

    public Times rules() {
        return site.rules();
    }

    /** @return the same where other things are there */
    public PlanProblem with(UnaryOperator<PlanSite> other) {
        return new PlanProblem(from, until, seconds, seed, earlier, pinned, other.apply(site), weights);
    }

    public PlanProblem withWeights(Map<Term, Double> others) {
        return new PlanProblem(from, until, seconds, seed, earlier, pinned, site, others);
    }

    /** @return the same room with a plan in force, and chargers that are away from now on */
    public PlanProblem after(Plan inForce, Predicate<PlanCharger> dead) {
        List<PlanCharger> left = chargers().stream()
                .map(charger -> dead.test(charger) ? charger.away(List.of(new Span(from, until))) : charger)
                .toList();
        return new PlanProblem(from, until, seconds, seed, inForce, pinned, site.withChargers(left), weights);
    }

    /** @return the same with what has begun alone: what people have pinned is let go */
    public PlanProblem withoutPins() {
        List<PlanJob> begun =
                pinned.stream().filter(job -> job.start().isBefore(from)).toList();
        return new PlanProblem(from, until, seconds, seed, earlier, begun, site, weights);
    }
}
