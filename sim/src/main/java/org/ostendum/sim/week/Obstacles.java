package org.ostendum.sim.week;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.Task;

/** Looks why a machine stands without a battery. */
final class Obstacles {
    /** A charger that has given nothing within this time is why its battery is not full. */
    private static final Duration LATELY = Duration.ofHours(24);

    private final Week week;
    private final Map<String, LivedBattery> batteries;
    private final Map<String, String> inMachine;

    Obstacles(Week week, Map<String, LivedBattery> batteries, Map<String, String> inMachine) {
        this.week = week;
        this.batteries = batteries;
        this.inMachine = inMachine;
    }

    Obstacle of(PlanMachine machine, Instant now) {
        if (isOut(machine)) {
            return Obstacle.STILL_OUT;
        } else if (machine.fixed() && hasBroken(machine, now)) {
            return Obstacle.CHARGER_BROKEN;
        }
        List<LivedBattery> fitting = batteries.values().stream()
                .filter(battery -> battery.sheet.fits(machine))
                .filter(battery -> !isInAnother(battery, machine) || !battery.full)
                .toList();
        if (fitting.stream().anyMatch(battery -> battery.isReady(now))) {
            return Obstacle.NOT_CHANGED;
        } else if (fitting.stream().anyMatch(battery -> battery.full && !battery.isReady(now) && battery.isIdle())) {
            return Obstacle.COOLS;
        } else if (fitting.stream().anyMatch(Obstacles::isOnCharger)) {
            return Obstacle.CHARGES;
        }
        return fitting.stream().anyMatch(LivedBattery::isIdle) ? Obstacle.WAITS_FOR_CHARGE : Obstacle.ALL_AWAY;
    }

    private boolean isOut(PlanMachine machine) {
        LivedBattery there = batteries.get(inMachine.getOrDefault(machine.code(), ""));
        return there != null && there.at != null && there.at.what() == Task.USE;
    }

    private boolean isInAnother(LivedBattery battery, PlanMachine machine) {
        return inMachine.entrySet().stream()
                .anyMatch(in -> in.getValue().equals(battery.sheet.code())
                        && !in.getKey().equals(machine.code()));
    }

    private static boolean isOnCharger(LivedBattery battery) {
        return battery.at != null && battery.at.what().wantsCharger();
    }

    private boolean hasBroken(PlanMachine machine, Instant now) {
        return week.room().charging().stream()
                .filter(pair -> pair.battery().equals(machine.battery()))
                .map(Pairing::charger)
                .flatMap(charger -> week.accidents().broken().getOrDefault(charger, List.of()).stream())
                .anyMatch(span -> span.start().isBefore(now) && span.end().isAfter(now.minus(LATELY)));
    }
}
