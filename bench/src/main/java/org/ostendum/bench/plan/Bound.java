package org.ostendum.bench.plan;

import com.google.ortools.Loader;
import com.google.ortools.modelbuilder.LinearExpr;
import com.google.ortools.modelbuilder.LinearExprBuilder;
import com.google.ortools.modelbuilder.ModelBuilder;
import com.google.ortools.modelbuilder.ModelSolver;
import com.google.ortools.modelbuilder.SolveStatus;
import com.google.ortools.modelbuilder.Variable;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.cost.EnergyPrice;
import org.ostendum.core.plan.cost.PlanCosts;
import org.ostendum.core.plan.cost.Uncharged;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.Shift;

/**
 * What no plan can cost less than, of unmet shifts, uncharged batteries and energy: the same room with less to keep to. Time is cut
 * into quarters of an hour, each charge begins in one of them at its cheapest minute and is as short as that of any battery of its
 * pool on any charger of its kind; batteries of a pool are as one stock, chargers of a kind as one with many places; people, care and
 * air are left out. Proved by a constraint solver.
 */
final class Bound {
    private static final int SLOT_SECONDS = 900;
    private static final double CENTS = 100;

    private final PlanProblem problem;
    private final boolean whole;
    private final PlanLookup lookup;
    private final EnergyPrice price;
    private final ModelBuilder model = new ModelBuilder();
    private final LinearExprBuilder cost = LinearExpr.newBuilder();
    private final Map<String, Map<Integer, LinearExprBuilder>> places = new HashMap<>();
    private final Map<Integer, LinearExprBuilder> watts = new TreeMap<>();
    private final int slots;

    private Bound(PlanProblem problem, boolean whole) {
        this.problem = problem;
        this.whole = whole;
        this.lookup = new PlanLookup(problem);
        this.price = new EnergyPrice(problem.tariff());
        this.slots = slot(problem.until());
    }

    /** A shift that somebody works, or nobody. */
    private record Worked(Instant start, Variable unmet) {}

    /** A charge, and from which slot on its battery may work. */
    private record Charged(int ready, Variable chosen) {}

    /** @param proved whether it is the optimum of what was left to keep to */
    record Found(double cost, boolean proved) {}

    /** @param seconds for each of the two proofs: of parts of shifts and charges, which is quick, and of whole ones */
    static Found of(PlanProblem problem, int seconds) {
        Loader.loadNativeLibraries();
        Found parts = new Bound(problem, false).solve("glop", seconds);
        Found whole = new Bound(problem, true).solve("sat", seconds);
        return new Found(Math.max(parts.proved() ? parts.cost() : 0, whole.cost()), whole.proved());
    }

    private Found solve(String by, int seconds) {
        StockPool.of(problem).forEach(this::plan);
        places.forEach((kind, bySlot) -> bySlot.values().forEach(sum -> model.addLessOrEqual(sum, many(kind))));
        Double most = problem.room().kwMost();
        if (most != null) {
            watts.values().forEach(sum -> model.addLessOrEqual(sum, watts(most)));
        }
        model.minimize(cost);
        ModelSolver solver = new ModelSolver(by);
        solver.setTimeLimit(Duration.ofSeconds(seconds));
        if (whole) {
            solver.setSolverSpecificParameters("num_workers:2 linearization_level:2");
        }
        SolveStatus status = solver.solve(model);
        return new Found(
                (whole ? solver.getBestObjectiveBound() : solver.getObjectiveValue()) / CENTS,
                status == SolveStatus.OPTIMAL);
    }

    private void plan(StockPool pool) {
        List<Worked> works = new ArrayList<>();
        List<Charged> charges = new ArrayList<>();
        pool.flat().forEach(battery -> charge(pool, List.of(), problem.from(), battery.missingAh(), charges));
        for (PlanMachine machine : pool.machines()) {
            for (Shift shift : machine.shifts()) {
                works.add(work(pool, shift, charges));
            }
        }
        works.forEach(work -> stock(pool, work.start(), works, charges));
    }

    private Worked work(StockPool pool, Shift shift, List<Charged> charges) {
        Variable unmet = decision("unmet " + shift.id());
        cost.addTerm(unmet, cents(PlanCosts.weight(problem, Term.UNMET)));
        if (shift.ah() > pool.mostUsableAh()) {
            model.addEquality(unmet, 1);
        } else {
            charge(pool, List.of(unmet), shift.end(), shift.ah(), charges);
        }
        return new Worked(shift.start(), unmet);
    }

    /** Begun in one of the slots, left uncharged, or one of the others. */
    private void charge(StockPool pool, List<Variable> others, Instant free, double missing, List<Charged> charges) {
        List<Variable> any = new ArrayList<>(others);
        int last = Math.min(slots - 1, slot(free.plus(Uncharged.WAITS_AT_MOST)));
        for (Pairing pair : shortestByKind(pool, missing)) {
            for (int slot = slot(free); slot <= last; slot++) {
                Charged way = way(pool, pair, missing, slot);
                charges.add(way);
                any.add(way.chosen());
            }
        }
        Variable left = decision("left");
        boolean counts = free.plus(Uncharged.LEFT_TO_NEXT).isBefore(problem.until());
        cost.addTerm(left, counts ? cents(PlanCosts.weight(problem, Term.UNCHARGED)) : 0);
        any.add(left);
        model.addEquality(LinearExpr.sum(any.toArray(new Variable[0])), 1);
    }

    private Collection<Pairing> shortestByKind(StockPool pool, double missing) {
        Map<String, Pairing> shortest = new LinkedHashMap<>();
        pool.batteries().stream()
                .flatMap(battery -> lookup.chargersFor(battery.code()).values().stream())
                .forEach(pair -> shortest.merge(
                        kind(charger(pair)), pair, (a, b) -> a.seconds(missing) <= b.seconds(missing) ? a : b));
        return shortest.values();
    }

    private Charged way(StockPool pool, Pairing pair, double missing, int slot) {
        PlanCharger charger = charger(pair);
        Variable chosen = decision("charge " + slot);
        int lasts = (int) Math.max(1, pair.seconds(missing) / SLOT_SECONDS);
        for (int at = slot; at < slot + lasts; at++) {
            places.computeIfAbsent(kind(charger), any -> new TreeMap<>())
                    .computeIfAbsent(at, any -> LinearExpr.newBuilder())
                    .add(chosen);
            watts.computeIfAbsent(at, any -> LinearExpr.newBuilder()).addTerm(chosen, watts(charger.kw()));
        }
        cost.addTerm(chosen, cheapest(charger, pair.seconds(missing), slot));
        int cool = pool.fixed() ? 0 : 60 * problem.rules().coolMinutes() / SLOT_SECONDS;
        return new Charged(slot + lasts + cool, chosen);
    }

    /** No more have gone to work than were ready: at first, or charged and cooled since. */
    private void stock(StockPool pool, Instant at, List<Worked> works, List<Charged> charges) {
        List<Worked> gone =
                works.stream().filter(work -> !work.start().isAfter(at)).toList();
        LinearExprBuilder sum = LinearExpr.newBuilder();
        gone.forEach(work -> sum.addTerm(work.unmet(), 1));
        charges.stream().filter(way -> way.ready() <= slot(at) + 1).forEach(way -> sum.addTerm(way.chosen(), 1));
        model.addGreaterOrEqual(sum, gone.size() - pool.readyBy(at));
    }

    private Variable decision(String name) {
        return model.newVar(0, 1, whole, name);
    }

    private PlanCharger charger(Pairing pair) {
        return Objects.requireNonNull(lookup.charger(pair.charger()));
    }

    private int many(String kind) {
        return (int) problem.chargers().stream()
                .filter(charger -> kind(charger).equals(kind))
                .count();
    }

    private static String kind(PlanCharger charger) {
        return charger.volts() + charger.connector() + charger.kw();
    }

    private double cheapest(PlanCharger charger, long lasts, int slot) {
        double least = Double.MAX_VALUE;
        for (int minute = 0; minute <= SLOT_SECONDS / 60; minute++) {
            Instant from = problem.from().plusSeconds((long) slot * SLOT_SECONDS + 60L * minute);
            least = Math.min(least, charger.kw() * price.hoursTimesPrice(from, from.plusSeconds(lasts)));
        }
        return Math.floor(CENTS * PlanCosts.weight(problem, Term.ENERGY) * least);
    }

    private int slot(Instant at) {
        return (int) (Duration.between(problem.from(), at).toSeconds() / SLOT_SECONDS);
    }

    private static double cents(double money) {
        return Math.rint(CENTS * money);
    }

    /** Whole ones, of which the solver of whole numbers wants to know nothing else. */
    private static double watts(double kilowatts) {
        return Math.rint(1000 * kilowatts);
    }
}
