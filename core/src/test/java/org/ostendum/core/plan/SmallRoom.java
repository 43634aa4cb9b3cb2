package org.ostendum.core.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
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

/** A room of two trucks, a golf car, four batteries and three chargers, to be changed before it is planned. */
public final class SmallRoom {
    public static final Instant MONDAY = Instant.parse("2026-11-30T00:00:00Z");
    public static final double SHIFT_AH = 300;

    public final List<PlanMachine> machines = new ArrayList<>();
    public final List<PoolBattery> batteries = new ArrayList<>();
    public final List<PlanCharger> chargers = new ArrayList<>();
    public final List<Pairing> charging = new ArrayList<>();
    public final List<Worker> people = new ArrayList<>();
    public final List<PlanJob> pinned = new ArrayList<>();
    public RoomLimits room = RoomLimits.UNLIMITED;
    public Plan earlier;

    public static Instant at(int day, int hour) {
        return MONDAY.plus(Duration.ofHours(24L * day + hour));
    }

    public SmallRoom() {
        machines.add(truck("F1", "B1", 6, 14));
        machines.add(truck("F2", "B2", 6, 14));
        machines.add(new PlanMachine(
                "C1", 48, "grey", 0, 0, "G1", true, List.of(new Shift("mon", at(0, 8), at(0, 12), 60))));
        for (int i = 1; i <= 4; i++) {
            batteries.add(battery("B" + i, 0));
        }
        batteries.add(new PoolBattery("G1", 48, "grey", 300, 150, 0, null, false, 0.2, 40, "bay", List.of()));
        for (int i = 1; i <= 2; i++) {
            chargers.add(new PlanCharger("K" + i, 48, "blue", "wall", 10, 100, List.of()));
            for (int b = 1; b <= 4; b++) {
                charging.add(new Pairing("B" + b, "K" + i, 1.0, 120));
            }
        }
        chargers.add(new PlanCharger("KG", 48, "grey", "bay", 2, 30, List.of()));
        charging.add(new Pairing("G1", "KG", 2.0, 60));
        people.add(new Worker(
                "tom",
                Set.of(Task.CHANGE, Task.WATER, Task.ROUND, Task.WASH),
                List.of(new Span(at(0, 5), at(0, 22)), new Span(at(1, 5), at(1, 22)))));
    }

    public static PlanMachine truck(String code, String battery, int from, int until) {
        return new PlanMachine(
                code,
                48,
                "blue",
                800,
                1200,
                battery,
                false,
                List.of(
                        new Shift("mon", at(0, from), at(0, until), SHIFT_AH),
                        new Shift("tue", at(1, from), at(1, until), SHIFT_AH)));
    }

    public static PoolBattery battery(String code, double missing, Due... due) {
        return new PoolBattery(code, 48, "blue", 1000, 600, missing, null, false, 0.2, 100, "stand", List.of(due));
    }

    public SmallRoom with(PoolBattery battery) {
        batteries.replaceAll(old -> old.code().equals(battery.code()) ? battery : old);
        return this;
    }

    public SmallRoom with(PlanMachine machine) {
        machines.replaceAll(old -> old.code().equals(machine.code()) ? machine : old);
        return this;
    }

    public PlanProblem problem() {
        return new PlanProblem(
                MONDAY,
                at(2, 0),
                1,
                1,
                earlier,
                pinned,
                new PlanSite(
                        machines,
                        batteries,
                        chargers,
                        charging,
                        people,
                        room,
                        List.of(
                                new Price(MONDAY, at(0, 6), 0.15),
                                new Price(at(0, 6), at(0, 22), 0.24),
                                new Price(at(0, 22), at(2, 0), 0.15)),
                        Times.USUAL),
                Map.of());
    }
}
