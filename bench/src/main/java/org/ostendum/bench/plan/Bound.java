package org.ostendum.bench.plan;

import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
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
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Shift;

/**
 * What no plan can cost less than, of unmet shifts, uncharged batteries and energy: the same room with less to keep to. Time is cut
 * into quarters of an hour, each charge begins in one of them at its cheapest minute and is as short as on any charger of its kind;
 * chargers of a kind are as one with many places; people, care and air are left out. Proved by a constraint solver.
 */
final class Bound {
    private static final int SLOT_SECONDS = 900;
    private static final double CENTS = 100;

    private final PlanProblem problem;
    private final PlanLookup lookup;
    private final EnergyPrice price;
    private final CpModel model = new CpModel();
    private final LinearExprBuilder cost = LinearExpr.newBuilder();
    private final Map<String, List<Work>> ofBattery = new HashMap<>();
    private final Map<String, Map<Integer, LinearExprBuilder>> places = new HashMap<>();
    private final Map<Integer, LinearExprBuilder> watts = new TreeMap<>();
    private final int slots;

    private Bound(PlanProblem problem) {
        this.problem = problem;
        this.lookup = new PlanLookup(problem);
        this.price = new EnergyPrice(problem.tariff());
        this.slots = (int) (Duration.between(problem.from(), problem.until()).toSeconds() / SLOT_SECONDS);
    }

    /** A charge that begins in a slot. */
    private record Begun(int ready, BoolVar chosen) {}

    /** One work of one battery with the ways to charge it afterwards. */
    private record Work(BoolVar here, long start, List<Begun> ways, BoolVar left) {}

    /** @param proved whether it is the optimum of what was left to keep to */
    record Found(double cost, boolean proved) {}

    static Found of(PlanProblem problem, int seconds) {
        Loader.loadNativeLibraries();
        return new Bound(problem).solve(seconds);
    }

    private Found solve(int seconds) {
        problem.batteries().forEach(battery -> ofBattery.put(battery.code(), new ArrayList<>()));
        problem.batteries().stream().filter(b -> b.missingAh() > 0 && !b.held()).forEach(this::first);
        for (PlanMachine machine : problem.machines()) {
            machine.shifts().forEach(shift -> work(machine, shift));
        }
        ofBattery.values().forEach(this::oneAfterTheOther);
        places.forEach((kind, bySlot) -> bySlot.values().forEach(sum -> model.addLessOrEqual(sum, many(kind))));
        Double most = problem.room().kwMost();
        if (most != null) {
            watts.values().forEach(sum -> model.addLessOrEqual(sum, Math.round(1000 * most)));
        }
        model.minimize(cost);
        CpSolver solver = new CpSolver();
        solver.getParameters().setMaxTimeInSeconds(seconds).setNumWorkers(2).setLinearizationLevel(2);
        CpSolverStatus status = solver.solve(model);
        return new Found(solver.bestObjectiveBound() / CENTS, status == CpSolverStatus.OPTIMAL);
    }

    private long many(String kind) {
        return problem.chargers().stream()
                .filter(charger -> kind(charger).equals(kind))
                .count();
    }

    private static String kind(PlanCharger charger) {
        return charger.volts() + charger.connector() + charger.kw();
    }

    private void first(PoolBattery battery) {
        BoolVar here = model.newBoolVar("first " + battery.code());
        model.addEquality(here, 1);
        charge(battery, here, 0, battery.missingAh(), -1);
    }

    private void work(PlanMachine machine, Shift shift) {
        List<Literal> any = new ArrayList<>();
        for (PoolBattery battery : problem.batteries()) {
            boolean warm = battery.coolUntil() != null && battery.coolUntil().isAfter(shift.start());
            if (battery.fits(machine) && !battery.held() && shift.ah() <= battery.usableAh() && !warm) {
                BoolVar here = model.newBoolVar(machine.code() + shift.id() + battery.code());
                any.add(here);
                charge(battery, here, seconds(shift.end()), shift.ah(), seconds(shift.start()));
            }
        }
        BoolVar unmet = model.newBoolVar("unmet " + machine.code() + shift.id());
        any.add(unmet);
        model.addExactlyOne(any.toArray(new Literal[0]));
        cost.addTerm(unmet, cents(PlanCosts.weight(problem, Term.UNMET)));
    }

    private void charge(PoolBattery battery, BoolVar here, long free, double missing, long works) {
        int first = (int) (free / SLOT_SECONDS);
        int last = (int) Math.min(slots - 1L, (free + Uncharged.WAITS_AT_MOST.toSeconds()) / SLOT_SECONDS);
        List<Begun> ways = new ArrayList<>();
        List<Literal> any = new ArrayList<>();
        for (Pairing pair : shortestByKind(battery, missing)) {
            for (int slot = first; slot <= last; slot++) {
                Begun way = way(battery, pair, missing, slot);
                ways.add(way);
                any.add(way.chosen());
            }
        }
        BoolVar left = model.newBoolVar("left");
        boolean counts = free + Uncharged.LEFT_TO_NEXT.toSeconds() < (long) slots * SLOT_SECONDS;
        cost.addTerm(left, counts ? cents(PlanCosts.weight(problem, Term.UNCHARGED)) : 0);
        any.add(left);
        any.add(here.not());
        model.addExactlyOne(any.toArray(new Literal[0]));
        Objects.requireNonNull(ofBattery.get(battery.code())).add(new Work(here, works, ways, left));
    }

    private Collection<Pairing> shortestByKind(PoolBattery battery, double missing) {
        Map<String, Pairing> shortest = new LinkedHashMap<>();
        for (Pairing pair : lookup.chargersFor(battery.code()).values()) {
            String kind = kind(Objects.requireNonNull(lookup.charger(pair.charger())));
            shortest.merge(kind, pair, (a, b) -> a.seconds(missing) <= b.seconds(missing) ? a : b);
        }
        return shortest.values();
    }

    private Begun way(PoolBattery battery, Pairing pair, double missing, int slot) {
        PlanCharger charger = Objects.requireNonNull(lookup.charger(pair.charger()));
        BoolVar chosen = model.newBoolVar(battery.code() + slot);
        int lasts = (int) Math.max(1, pair.seconds(missing) / SLOT_SECONDS);
        for (int at = slot; at < slot + lasts; at++) {
            places.computeIfAbsent(kind(charger), any -> new TreeMap<>())
                    .computeIfAbsent(at, any -> LinearExpr.newBuilder())
                    .add(chosen);
            watts.computeIfAbsent(at, any -> LinearExpr.newBuilder()).addTerm(chosen, Math.round(1000 * charger.kw()));
        }
        cost.addTerm(chosen, cheapest(charger, pair.seconds(missing), slot));
        long cool = lookup.isFixed(battery.code()) ? 0 : 60L * problem.rules().coolMinutes() / SLOT_SECONDS;
        return new Begun((int) (slot + lasts + cool), chosen);
    }

    private long cheapest(PlanCharger charger, long lasts, int slot) {
        double least = Double.MAX_VALUE;
        for (int minute = 0; minute <= SLOT_SECONDS / 60; minute++) {
            Instant from = problem.from().plusSeconds((long) slot * SLOT_SECONDS + 60L * minute);
            least = Math.min(least, charger.kw() * price.hoursTimesPrice(from, from.plusSeconds(lasts)));
        }
        return (long) Math.floor(CENTS * PlanCosts.weight(problem, Term.ENERGY) * least);
    }

    /** Whoever is ready too late, or not charged, does not work then. */
    private void oneAfterTheOther(List<Work> works) {
        works.sort((a, b) -> Long.compare(a.start(), b.start()));
        for (int i = 0; i < works.size(); i++) {
            Work one = works.get(i);
            for (Work then : works.subList(i + 1, works.size())) {
                List<Literal> notBoth = new ArrayList<>();
                one.ways().stream()
                        .filter(way -> way.ready() > then.start() / SLOT_SECONDS + 1)
                        .forEach(way -> notBoth.add(way.chosen()));
                notBoth.add(one.left());
                notBoth.add(then.here());
                model.addAtMostOne(notBoth.toArray(new Literal[0]));
            }
        }
    }

    private long seconds(Instant at) {
        return Duration.between(problem.from(), at).toSeconds();
    }

    private static long cents(double money) {
        return Math.round(CENTS * money);
    }
}
