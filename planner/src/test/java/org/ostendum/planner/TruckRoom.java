package org.ostendum.planner;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.ostendum.core.plan.PlanProblem;
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
 * Four trucks that work early and late for two days with two batteries each, three cars that charge in place, power for three chargers,
 * one person at a time. Cars that are charged at once, as they come back first, leave a truck without: they could wait.
 */
final class TruckRoom {
    static final Instant MONDAY = Instant.parse("2026-11-30T00:00:00Z");

    private static final int TRUCKS = 4;
    private static final int BATTERIES = 8;
    private static final int CARS = 3;
    private static final int CHARGERS = 4;

    private TruckRoom() {}

    static Instant at(int day, int hour) {
        return MONDAY.plus(Duration.ofHours(24L * day + hour));
    }

    static PlanProblem problem() {
        List<PlanMachine> machines = new ArrayList<>();
        List<PoolBattery> batteries = new ArrayList<>();
        List<PlanCharger> chargers = new ArrayList<>();
        List<Pairing> charging = new ArrayList<>();
        for (int i = 1; i <= TRUCKS; i++) {
            machines.add(truck("F" + i, "B" + i));
        }
        for (int i = 1; i <= CHARGERS; i++) {
            chargers.add(new PlanCharger("K" + i, 48, "blue", "wall", 5, 100, List.of()));
        }
        for (int i = 1; i <= BATTERIES; i++) {
            batteries.add(
                    new PoolBattery("B" + i, 48, "blue", 1000, 600, 0, null, false, 0.2, 100 + i, "stand", List.of()));
            for (int k = 1; k <= CHARGERS; k++) {
                charging.add(new Pairing("B" + i, "K" + k, 0.5, 100 + k));
            }
        }
        for (int i = 1; i <= CARS; i++) {
            String code = "G" + i;
            machines.add(car("C" + i, code));
            batteries.add(new PoolBattery(code, 48, "bay", 300, 180, 0, null, false, 0.2, 100, "bay", List.of()));
            chargers.add(new PlanCharger("KG" + i, 48, "bay", "bay", 5, 30, List.of()));
            charging.add(new Pairing(code, "KG" + i, 4, 60));
        }
        return new PlanProblem(
                MONDAY,
                at(2, 0),
                1,
                1,
                null,
                List.of(),
                new PlanSite(
                        machines,
                        batteries,
                        chargers,
                        charging,
                        people(),
                        new RoomLimits(15.0, null),
                        List.of(new Price(MONDAY, at(0, 22), 0.3), new Price(at(0, 22), at(2, 0), 0.1)),
                        Times.USUAL),
                Map.of());
    }

    private static PlanMachine truck(String code, String battery) {
        List<Shift> shifts = new ArrayList<>();
        for (int day = 0; day < 2; day++) {
            shifts.add(new Shift("early" + day, at(day, 6), at(day, 12), 220));
            shifts.add(new Shift("late" + day, at(day, 14), at(day, 20), 250));
        }
        return new PlanMachine(code, 48, "blue", 800, 1200, battery, false, shifts);
    }

    private static PlanMachine car(String code, String battery) {
        List<Shift> shifts = new ArrayList<>();
        for (int day = 0; day < 2; day++) {
            shifts.add(new Shift("day" + day, at(day, 6), at(day, 11), 60));
        }
        return new PlanMachine(code, 48, "bay", 0, 0, battery, true, shifts);
    }

    private static List<Worker> people() {
        return List.of(
                new Worker("early", Set.of(Task.CHANGE), List.of(there(0, 5, 13), there(1, 5, 13))),
                new Worker("late", Set.of(Task.CHANGE), List.of(there(0, 13, 22), there(1, 13, 22))));
    }

    private static Span there(int day, int from, int until) {
        return new Span(at(day, from), at(day, until));
    }
}
