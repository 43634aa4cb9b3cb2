package org.ostendum.sim.room;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PlanSite;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Price;
import org.ostendum.core.plan.room.RoomLimits;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Times;
import org.ostendum.core.plan.room.Worker;

/**
 * Makes up a room: pools of truck batteries of three voltages, golf cars with batteries of their own, chargers, people, a tariff with
 * dear evenings. The same seed makes the same room.
 */
public final class RoomMaker {
    /** When every room begins: a Monday at midnight. */
    public static final Instant BEGINS = Instant.parse("2026-11-30T00:00:00Z");

    private static final int[] VOLTS = {24, 36, 48};
    private static final String[] PLUGS = {"grey", "blue", "red"};
    private static final double[] KILOWATTS = {3.2, 5.8, 8.4};
    private static final double[] CAPACITIES = {420, 560, 700};
    private static final double LIGHTEST = 500;
    private static final double USUAL = 1000;
    private static final double HEAVY = 1200;
    private static final double FIXED_PART = 0.25;

    private final Size size;
    private final SplittableRandom chance;
    private final List<PlanMachine> machines = new ArrayList<>();
    private final List<PoolBattery> batteries = new ArrayList<>();
    private final List<PlanCharger> chargers = new ArrayList<>();
    private final List<Pairing> charging = new ArrayList<>();

    private RoomMaker(Size size, long seed) {
        this.size = size;
        this.chance = new SplittableRandom(seed);
    }

    /**
     * How large and how tight.
     *
     * @param batteries 4 to 2000
     * @param days planned, 1 to 14
     * @param tight whether batteries, chargers and power are short
     * @param mixed whether every second truck of a pool wants a heavy battery, which only every second battery is
     */
    public record Size(int batteries, int days, boolean tight, boolean mixed) {
        public Size(int batteries, int days, boolean tight) {
            this(batteries, days, tight, false);
        }
    }

    /** @param seconds to search for */
    public static PlanProblem make(Size size, int seconds, long seed) {
        return new RoomMaker(size, seed).made(seconds, seed);
    }

    private PlanProblem made(int seconds, long seed) {
        int fixed = (int) Math.round(size.batteries() * FIXED_PART);
        int pool = size.batteries() - fixed;
        for (int type = 0; type < VOLTS.length; type++) {
            int many = pool / VOLTS.length + (type < pool % VOLTS.length ? 1 : 0);
            pool(type, many);
        }
        for (int i = 1; i <= fixed; i++) {
            fixed(i);
        }
        double kilowatts = chargers.stream().mapToDouble(PlanCharger::kw).sum();
        double litres =
                chargers.stream().mapToDouble(PlanCharger::litresPerHour).sum();
        double part = size.tight() ? 0.55 : 0.8;
        return new PlanProblem(
                BEGINS,
                BEGINS.plus(Duration.ofDays(size.days())),
                seconds,
                seed,
                null,
                List.of(),
                new PlanSite(
                        machines,
                        batteries,
                        chargers,
                        charging,
                        people(),
                        new RoomLimits(kilowatts * part, litres * part),
                        tariff(),
                        Times.USUAL),
                Map.of());
    }

    private void pool(int type, int many) {
        if (many == 0) {
            return;
        }
        int trucks = Math.max(1, (int) Math.floor(many / (size.tight() ? 1.7 : 2.2)));
        int posts = Math.max(1, (int) Math.ceil(many * (size.tight() ? 0.5 : 0.65)));
        List<String> codes = new ArrayList<>();
        for (int i = 1; i <= many; i++) {
            codes.add("B" + VOLTS[type] + "-" + i);
        }
        for (int i = 1; i <= trucks; i++) {
            machines.add(truck(type, i, codes.get(i - 1)));
        }
        for (int i = 1; i <= posts; i++) {
            chargers.add(new PlanCharger(
                    "K" + VOLTS[type] + "-" + i,
                    VOLTS[type],
                    PLUGS[type],
                    "wall",
                    KILOWATTS[type],
                    25.0 * VOLTS[type] / 2,
                    List.of()));
        }
        for (int i = 0; i < many; i++) {
            batteries.add(poolBattery(type, codes.get(i), i < trucks, isHeavy(i + 1)));
            for (int k = 1; k <= posts; k++) {
                charging.add(new Pairing(codes.get(i), "K" + VOLTS[type] + "-" + k, 0.62, 110 + chance.nextInt(40)));
            }
        }
    }

    private PlanMachine truck(int type, int number, String battery) {
        boolean late = chance.nextDouble() < 0.5;
        int later = 900 * chance.nextInt(5);
        List<Shift> shifts = new ArrayList<>();
        for (int day = 0; day < size.days(); day++) {
            boolean weekend = day % 7 >= 5;
            if (weekend && chance.nextDouble() < 0.75) {
                continue;
            }
            shifts.add(shift(day, 6, 14, 0, type));
            if (late && !weekend) {
                shifts.add(shift(day, 14, 22, later, type));
            }
        }
        return new PlanMachine(
                "F" + VOLTS[type] + "-" + number,
                VOLTS[type],
                PLUGS[type],
                isHeavy(number) ? HEAVY : LIGHTEST,
                2 * HEAVY,
                battery,
                false,
                shifts);
    }

    private boolean isHeavy(int number) {
        return size.mixed() && number % 2 == 0;
    }

    /** Late shifts begin one after the other, or nobody could change all their batteries at once. */
    private Shift shift(int day, int from, int until, int later, int type) {
        double part = 0.4 + 0.3 * chance.nextDouble();
        return new Shift(
                "d" + day + "-" + from,
                at(day, from).plusSeconds(later),
                at(day, until).minusSeconds(900),
                CAPACITIES[type] * part);
    }

    private static Instant at(int day, int hour) {
        return BEGINS.plus(Duration.ofHours(24L * day + hour));
    }

    private PoolBattery poolBattery(int type, String code, boolean inTruck, boolean heavy) {
        double missing =
                inTruck || chance.nextDouble() < 0.5 ? 0 : CAPACITIES[type] * (0.3 + 0.3 * chance.nextDouble());
        return new PoolBattery(
                code,
                VOLTS[type],
                PLUGS[type],
                heavy ? HEAVY : USUAL,
                CAPACITIES[type],
                missing,
                null,
                false,
                0.2,
                200 + chance.nextInt(15),
                "stand",
                due());
    }

    private List<Due> due() {
        List<Due> due = new ArrayList<>();
        add(due, Task.WATER, 7, 10, 0);
        add(due, Task.ROUND, 21, 12, 0);
        add(due, Task.EQUALISE, 30, 5, 180);
        add(due, Task.WASH, 365, 15, 0);
        return due;
    }

    private void add(List<Due> due, Task what, int everyDays, int minutes, int takes) {
        double days = everyDays * chance.nextDouble();
        if (days < size.days()) {
            Instant from = BEGINS.plus(Duration.ofMinutes((long) (1440 * days)));
            due.add(new Due(what, from, from.plus(Duration.ofDays(2)), minutes, takes));
        }
    }

    private void fixed(int number) {
        String battery = "G-" + number;
        String charger = "KG-" + number;
        List<Shift> shifts = new ArrayList<>();
        for (int day = 0; day < size.days(); day++) {
            shifts.add(new Shift(
                    "d" + day,
                    at(day, 7 + chance.nextInt(3)),
                    at(day, 15 + chance.nextInt(4)),
                    40 + 60 * chance.nextDouble()));
        }
        machines.add(new PlanMachine("C-" + number, 48, "bay", 0, 0, battery, true, shifts));
        batteries.add(new PoolBattery(battery, 48, "bay", 300, 180, 0, null, false, 0.2, 100, "bay", due()));
        chargers.add(new PlanCharger(charger, 48, "bay", "bay", 1.1, 60, List.of()));
        charging.add(new Pairing(battery, charger, 3.0, 90));
    }

    private List<Worker> people() {
        List<Worker> people = new ArrayList<>();
        int many = Math.max(1, (int) Math.ceil(size.batteries() / 25.0));
        for (int i = 1; i <= many; i++) {
            people.add(worker("early-" + i, 4, 14));
            people.add(worker("late-" + i, 13, 23));
        }
        return people;
    }

    private Worker worker(String code, int from, int until) {
        List<Span> shifts = new ArrayList<>();
        for (int day = 0; day < size.days(); day++) {
            shifts.add(new Span(at(day, from), at(day, until)));
        }
        return new Worker(
                code, Set.of(Task.CHANGE, Task.WATER, Task.ROUND, Task.EQUALISE, Task.WASH, Task.TEST), shifts);
    }

    private List<Price> tariff() {
        List<Price> prices = new ArrayList<>();
        for (int day = 0; day < size.days(); day++) {
            prices.add(new Price(at(day, 0), at(day, 6), 0.15));
            prices.add(new Price(at(day, 6), at(day, 17), 0.24));
            prices.add(new Price(at(day, 17), at(day, 20), 0.34));
            prices.add(new Price(at(day, 20), at(day, 22), 0.24));
            prices.add(new Price(at(day, 22), at(day + 1, 0), 0.15));
        }
        return prices;
    }
}
