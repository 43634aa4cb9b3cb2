package org.ostendum.planner;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.cost.Hurry;
import org.ostendum.core.plan.cost.Rotation;
import org.ostendum.core.plan.make.Decisions;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;

/** Brings a problem before the solver, and what the solver has decided back. */
final class Model {
    private final PlanProblem problem;
    private final PlanLookup lookup;
    private final Map<String, Stock> stocks = new LinkedHashMap<>();
    private final Map<String, Outlet> outlets = new LinkedHashMap<>();
    private final Set<String> pinnedUses;
    private final Set<String> pinnedBatteries;
    private final long until;

    Model(PlanProblem problem) {
        this.problem = problem;
        this.lookup = new PlanLookup(problem);
        this.until = seconds(problem.until());
        problem.chargers().forEach(charger -> outlets.put(charger.code(), outlet(charger)));
        Map<String, Integer> handicaps = Rotation.handicaps(problem);
        problem.batteries().forEach(battery -> stocks.put(battery.code(), stock(battery, handicaps)));
        pinnedUses = problem.pinned().stream()
                .filter(job -> job.what() == Task.USE && job.machine() != null && job.shift() != null)
                .map(job -> Decisions.shift(Objects.requireNonNull(job.machine()), Objects.requireNonNull(job.shift())))
                .collect(Collectors.toSet());
        pinnedBatteries = problem.pinned().stream()
                .filter(job -> job.what() == Task.CHARGE)
                .map(PlanJob::battery)
                .collect(Collectors.toSet());
    }

    private Outlet outlet(PlanCharger charger) {
        return new Outlet(
                outlets.size(),
                charger.code(),
                charger.kw(),
                charger.litresPerHour(),
                List.copyOf(problem.room().airs().keySet()).indexOf(charger.air()),
                charger.away().stream()
                        .map(away -> new long[] {seconds(away.start()), seconds(away.end())})
                        .toList());
    }

    private Stock stock(PoolBattery battery, Map<String, Integer> handicaps) {
        boolean fixed = lookup.isFixed(battery.code());
        Map<String, Pairing> pairings = lookup.chargersFor(battery.code());
        BitSet reach = new BitSet();
        pairings.keySet()
                .forEach(charger ->
                        reach.set(Objects.requireNonNull(outlets.get(charger)).index()));
        return new Stock(
                stocks.size(),
                battery.code(),
                fixed,
                battery.missingAh() == 0,
                battery.coolUntil() == null ? 0 : seconds(battery.coolUntil()),
                fixed ? 0 : 60L * problem.rules().coolMinutes(),
                handicaps.getOrDefault(battery.code(), 0),
                outlets.keySet().stream().map(pairings::get).toList(),
                reach);
    }

    private long seconds(Instant at) {
        return Duration.between(problem.from(), at).toSeconds();
    }

    /**
     * @param known plan the search begins from
     * @param disturbsLittle whether no more than a little of the plan in force may be otherwise
     */
    RoomPlan start(Plan known, boolean disturbsLittle) {
        List<WorkAndCharge> works = new ArrayList<>();
        for (PoolBattery battery : problem.batteries()) {
            if (battery.missingAh() > 0 && !battery.held() && !pinnedBatteries.contains(battery.code())) {
                first(battery).ifPresent(works::add);
            }
        }
        problem.machines().forEach(machine -> works.addAll(shifts(machine)));
        Past past = new Past(known);
        works.forEach(work -> begin(work, past));
        if (problem.earlier() != null) {
            Past earlier = new Past(problem.earlier());
            works.forEach(work -> work.earlier = earlier.before(work));
        }
        inOrder(works, known);
        return new RoomPlan(
                works, new Pricing(problem), problem, disturbsLittle ? Disturbance.mayMove(works) : Long.MAX_VALUE);
    }

    /** Each change in the last hour keeps the person and the time it has in the known plan; one made sooner could be made later. */
    private void inOrder(List<WorkAndCharge> works, Plan known) {
        works.sort(Comparator.comparingLong((WorkAndCharge work) -> work.start).thenComparing(WorkAndCharge::getKey));
        Map<String, Long> changes = new HashMap<>();
        known.jobs(Task.CHANGE)
                .filter(job -> job.machine() != null && job.shift() != null)
                .forEach(job -> changes.put(
                        Decisions.shift(Objects.requireNonNull(job.machine()), Objects.requireNonNull(job.shift())),
                        seconds(job.start())));
        for (int i = 0; i < works.size(); i++) {
            WorkAndCharge work = works.get(i);
            work.order = i;
            boolean changed = work.getFitting().stream().noneMatch(Stock::fixed);
            long lead = changed ? 60L * problem.rules().changeMinutes() : 0;
            long planned = changes.getOrDefault(work.getKey(), work.start - lead);
            work.neededBy = planned < work.start - Hurry.WITHIN.toSeconds() ? work.start - lead : planned;
        }
    }

    private Optional<WorkAndCharge> first(PoolBattery battery) {
        WorkAndCharge work =
                new WorkAndCharge(Decisions.first(battery.code()), true, -1, 0, battery.missingAh(), until);
        Stock stock = Objects.requireNonNull(stocks.get(battery.code()));
        work.mayTake(List.of(stock), chargersOf(List.of(stock)));
        return work.getOutlets().isEmpty() ? Optional.empty() : Optional.of(work);
    }

    private List<WorkAndCharge> shifts(PlanMachine machine) {
        List<Stock> fitting = problem.batteries().stream()
                .filter(battery -> battery.fits(machine) && !battery.held())
                .map(battery -> Objects.requireNonNull(stocks.get(battery.code())))
                .toList();
        List<WorkAndCharge> works = new ArrayList<>();
        @Nullable String before = null;
        for (Shift shift : machine.shifts().stream()
                .sorted(Comparator.comparing(Shift::start))
                .toList()) {
            String key = Decisions.shift(machine, shift);
            List<Stock> strong = fitting.stream()
                    .filter(stock -> shift.ah()
                            <= Objects.requireNonNull(lookup.battery(stock.code()))
                                    .usableAh())
                    .toList();
            List<Outlet> chargers = chargersOf(strong);
            boolean within =
                    !shift.start().isBefore(problem.from()) && shift.start().isBefore(problem.until());
            if (!within || pinnedUses.contains(key) || strong.isEmpty() || chargers.isEmpty()) {
                continue;
            }
            WorkAndCharge work =
                    new WorkAndCharge(key, false, seconds(shift.start()), seconds(shift.end()), shift.ah(), until);
            work.mayTake(strong, chargers);
            work.before = before;
            work.found = before == null ? machine.battery() : null;
            before = key;
            works.add(work);
        }
        return works;
    }

    private List<Outlet> chargersOf(List<Stock> batteries) {
        BitSet met = new BitSet();
        batteries.forEach(stock -> met.or(stock.reach()));
        return outlets.values().stream()
                .filter(outlet -> met.get(outlet.index()))
                .toList();
    }

    private void begin(WorkAndCharge work, Past past) {
        WorkAndCharge.Before before = past.before(work);
        Stock battery = before.battery() == null ? null : stocks.get(before.battery());
        Outlet outlet = before.charger() == null ? null : outlets.get(before.charger());
        long wait = outlet != null
                ? Math.max(0, (before.chargeStart() - work.end + WorkAndCharge.WAIT_STEP - 1) / WorkAndCharge.WAIT_STEP)
                : 0;
        work.decide(
                work.first ? work.getFitting().get(0) : work.getFitting().contains(battery) ? battery : null,
                outlet != null && work.getOutlets().contains(outlet) ? outlet : null,
                (int) Math.min(RoomPlan.MOST_WAITS, wait));
    }

    /** @return what the solver has decided */
    Decisions decided(RoomPlan found) {
        found.getWorks().forEach(WorkAndCharge::reckon);
        Map<String, String> batteries = new HashMap<>();
        Map<String, Decisions.Charge> charges = new HashMap<>();
        Set<String> without = new HashSet<>();
        for (WorkAndCharge work : found.getWorks()) {
            if (!work.isWorked()) {
                without.add(work.getKey());
            } else {
                if (!work.first) {
                    batteries.put(work.getKey(), work.getBattery().code());
                }
                charges.put(work.getKey(), charge(work));
            }
        }
        return new Decisions(batteries, charges, Map.of(), without);
    }

    /** What is left without a charge is charged where there is room in the end, so as not to be in the way of others. */
    private Decisions.Charge charge(WorkAndCharge work) {
        return work.getOutlet() == null
                ? new Decisions.Charge(null, problem.until())
                : new Decisions.Charge(work.getOutlet().code(), problem.from().plusSeconds(work.chargeStart()));
    }

    /** A plan that there is: which battery worked a shift, and where it was charged then. */
    private final class Past {
        private final Map<String, PlanJob> uses = new HashMap<>();
        private final Map<String, List<PlanJob>> charges = new HashMap<>();

        Past(Plan plan) {
            for (PlanJob job : plan.jobs()) {
                if (job.what() == Task.USE && job.machine() != null && job.shift() != null) {
                    uses.put(Decisions.shift(job.machine(), job.shift()), job);
                } else if (job.what() == Task.CHARGE) {
                    charges.computeIfAbsent(job.battery(), any -> new ArrayList<>())
                            .add(job);
                }
            }
        }

        WorkAndCharge.Before before(WorkAndCharge work) {
            PlanJob use = uses.get(work.getKey());
            if (use == null && !work.first) {
                return WorkAndCharge.Before.NONE;
            }
            String battery = use == null ? work.getFitting().get(0).code() : use.battery();
            return charges.getOrDefault(battery, List.of()).stream()
                    .filter(charge -> seconds(charge.start()) >= work.end)
                    .findFirst()
                    .map(charge -> new WorkAndCharge.Before(battery, charge.charger(), seconds(charge.start())))
                    .orElse(new WorkAndCharge.Before(battery, null, Long.MIN_VALUE));
        }
    }
}
