package org.ostendum.app.plan.house;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.change.ChangesMade;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.RecentCharges;
import org.ostendum.app.plan.house.Mishap.Kind;
import org.ostendum.app.plan.weights.PlanWeights;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.charge.Tariff;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PlanSite;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Price;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Times;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Stage;
import org.springframework.stereotype.Service;

/** The house as a room to be planned, from the live state: what runs is a fact, what is pinned stays. */
@Service
public class HouseProblem {
    private static final long SEED = 1;
    /** Until the site's own changes tell better. */
    private static final int CHANGE_MINUTES = 15;
    /** What was learned moves by steps: a minute more or less is no reason for another plan. */
    private static final int CHANGE_STEP = 5;

    private static final int PLUG_MINUTES = 3;
    private static final Duration PRICED_BEYOND = Duration.ofDays(2);

    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final RecentCharges charges;
    private final HouseMachines machines;
    private final HouseChargers chargers;
    private final HousePeople people;
    private final Mishaps mishaps;
    private final PlanWeights weights;
    private final ChangesMade changes;
    private final ZoneId zone;

    HouseProblem(
            Batteries batteries,
            BatteryStates batteryStates,
            RecentCharges charges,
            HouseMachines machines,
            HouseChargers chargers,
            HousePeople people,
            Mishaps mishaps,
            PlanWeights weights,
            ChangesMade changes,
            ZoneId zone) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.charges = charges;
        this.machines = machines;
        this.chargers = chargers;
        this.people = people;
        this.mishaps = mishaps;
        this.weights = weights;
        this.changes = changes;
        this.zone = zone;
    }

    /** @param earlier plan in force; null for none */
    public PlanProblem from(Instant now, Duration ahead, int seconds, @Nullable Plan earlier) {
        Instant from = now.truncatedTo(ChronoUnit.MINUTES);
        Instant until = from.plus(ahead);
        Rulebook book = batteryStates.rulebook();
        Rules site = book.siteRules();
        List<Mishap> wrong = mishaps.notOver(from);
        List<Battery> everyOne = batteries.all();
        Map<Long, BatteryState> states = batteryStates.statesOf(everyOne, book);
        List<Battery> all = everyOne.stream()
                .filter(battery -> isPlanned(Objects.requireNonNull(states.get(battery.id()))))
                .toList();
        List<RoomPlan> plans = chargers.plans();
        List<PlanMachine> needs = machines.machines(all, states, from, until, wrong);
        List<Pairing> pairs = chargers.pairings(all, states, plans, book).stream()
                .filter(pair -> wrong.stream().noneMatch(mishap -> mishap.forbids(pair.battery(), pair.charger())))
                .toList();
        List<PlanJob> pinned =
                new ArrayList<>(running(all, states, needs, pairs, HouseChargers.overSlots(plans), from));
        List<PlanJob> stays = stillPinned(earlier, from, pinned);
        List<String> working = pinned.stream()
                .filter(job -> job.what() == Task.USE && job.start().isBefore(from))
                .map(PlanJob::battery)
                .toList();
        Map<Long, Integer> worked =
                charges.cyclesOf(all.stream().map(Battery::id).toList());
        HouseBatteries house = new HouseBatteries(until, LocalDate.ofInstant(from, zone));
        List<PoolBattery> pool = all.stream()
                .map(battery -> house.of(
                        battery,
                        Objects.requireNonNull(states.get(battery.id())),
                        worked.getOrDefault(battery.id(), 0),
                        book.rulesFor(battery.type().id()),
                        is(Kind.BATTERY_FLAT, battery, wrong),
                        is(Kind.BATTERY_OUT, battery, wrong)))
                .map(battery -> working.contains(battery.code()) ? atWork(battery) : battery)
                .toList();
        List<PlanCharger> outlets = chargers.chargers(plans, wrong, site);
        int changeMinutes = changeMinutes();
        PinnedJobs fitted =
                new PinnedJobs(earlier, from, needs, pool, outlets, pairs, Duration.ofMinutes(changeMinutes));
        stays.stream().flatMap(job -> fitted.fit(job).stream()).forEach(pinned::add);
        return new PlanProblem(
                from,
                until,
                seconds,
                SEED,
                earlier,
                pinned,
                new PlanSite(
                        needs,
                        pool,
                        outlets,
                        pairs,
                        people.workers(from, until, wrong, site),
                        HouseChargers.room(plans, site),
                        prices(Tariff.of(site, zone), from, until.plus(PRICED_BEYOND)),
                        new Times((int) site.duration(RuleKey.COOLING).toMinutes(), changeMinutes, PLUG_MINUTES)),
                weights.all());
    }

    private int changeMinutes() {
        return changes.usualMinutes()
                .map(learned -> Math.max(1, Math.round((float) learned / CHANGE_STEP)) * CHANGE_STEP)
                .orElse(CHANGE_MINUTES);
    }

    /** What is put away works for nobody, and nobody waits for the car that it stands in; while it charges its charger is taken. */
    private static boolean isPlanned(BatteryState state) {
        return state.stage() != Stage.STORED || state.isCharging();
    }

    private static boolean is(Kind kind, Battery battery, List<Mishap> wrong) {
        return wrong.stream().anyMatch(mishap -> mishap.isOf(kind, battery.code()));
    }

    /** What its shift takes out of it is told by the shift. */
    private static PoolBattery atWork(PoolBattery b) {
        return new PoolBattery(
                b.code(),
                b.volts(),
                b.connector(),
                b.weightKg(),
                b.capacityAh(),
                0,
                null,
                false,
                b.leastSoc(),
                b.cycles(),
                b.place(),
                b.due());
    }

    /** Charges that run, and machines that are out in a shift that has begun. */
    private static List<PlanJob> running(
            List<Battery> all,
            Map<Long, BatteryState> states,
            List<PlanMachine> needs,
            List<Pairing> pairs,
            Map<Long, String> over,
            Instant from) {
        List<PlanJob> running = new ArrayList<>(new ChargesUnderWay(states, pairs, over, from).of(all));
        Set<String> held = all.stream()
                .filter(battery -> HouseBatteries.isHeld(Objects.requireNonNull(states.get(battery.id()))))
                .map(Battery::code)
                .collect(Collectors.toSet());
        for (PlanMachine machine : needs) {
            String code = machine.battery();
            if (code == null || held.contains(code)) {
                // A machine whose battery may not work stands, whatever its hours say.
                continue;
            }
            boolean charging = running.stream().anyMatch(job -> job.battery().equals(code));
            machine.shifts().stream()
                    .filter(shift -> !charging && shift.start().isBefore(from))
                    .forEach(shift -> running.add(use(machine, code, shift)));
        }
        return running;
    }

    private static PlanJob use(PlanMachine machine, String battery, Shift shift) {
        return new PlanJob(
                "use-" + battery + "-now",
                Task.USE,
                battery,
                machine.code(),
                shift.id(),
                null,
                null,
                shift.start(),
                shift.end(),
                true,
                null);
    }

    /** What a person has pinned in the plan in force and has not begun. */
    private static List<PlanJob> stillPinned(@Nullable Plan earlier, Instant from, List<PlanJob> running) {
        if (earlier == null) {
            return List.of();
        }
        return earlier.jobs().stream()
                .filter(job -> job.pinned() && !job.start().isBefore(from))
                .filter(job -> running.stream()
                        .noneMatch(now ->
                                now.battery().equals(job.battery()) && now.end().isAfter(job.start())))
                .toList();
    }

    private static List<Price> prices(Tariff tariff, Instant from, Instant until) {
        List<Price> prices = new ArrayList<>();
        Instant start = from;
        Instant at = from.truncatedTo(ChronoUnit.HOURS).plus(Duration.ofHours(1));
        while (start.isBefore(until)) {
            double price = tariff.at(start);
            while (at.isBefore(until) && tariff.at(at) == price) {
                at = at.plus(Duration.ofHours(1));
            }
            prices.add(new Price(start, at, price / 100));
            start = at;
            at = at.plus(Duration.ofHours(1));
        }
        return prices;
    }
}
