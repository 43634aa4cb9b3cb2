package org.ostendum.sim.week;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.gas.Gassing;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.cost.EnergyPrice;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.Price;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;

/** Adds up what a week is like. */
final class Tally {
    private static final Celsius ROOM = Celsius.of(20);
    private static final Duration MINUTE = Duration.ofMinutes(1);

    private final PlanProblem room;
    private final EnergyPrice price;
    private final @Nullable Double litresMost;
    private double cost;
    private double mostKilowatts;
    private int gasMinutes;
    private int handMinutes;
    private int charges;
    private int shifts;
    private final Map<Obstacle, Integer> stood = new EnumMap<>(Obstacle.class);

    Tally(PlanProblem room) {
        this.room = room;
        this.price = new EnergyPrice(room.tariff());
        this.litresMost = room.room().litresPerHourMost();
    }

    /** @return the most that was drawn in any minute so far */
    double mostKilowatts() {
        return mostKilowatts;
    }

    /** @param gassedAh cell-ampere-hours turned into gas in this minute */
    void minute(Instant now, double kilowatts, double gassedAh) {
        cost += kilowatts * price.hoursTimesPrice(now, now.plus(MINUTE));
        mostKilowatts = Math.max(mostKilowatts, kilowatts);
        double litres = 1000
                * Gassing.hydrogenPerHour(1, new Amperes(60 * gassedAh), ROOM).cubicMetres();
        gasMinutes += litresMost != null && litres > litresMost ? 1 : 0;
    }

    void charge() {
        charges++;
        hands(room.rules().plugMinutes());
    }

    void hands(int minutes) {
        handMinutes += minutes;
    }

    /** @param obstacle why the machine stands; null where it works */
    void shift(@Nullable Obstacle obstacle) {
        shifts++;
        if (obstacle != null) {
            stood.merge(obstacle, 1, Integer::sum);
        }
    }

    WeekResult result(Collection<LivedBattery> batteries) {
        double cheapest =
                room.tariff().stream().mapToDouble(Price::perKwh).min().orElse(0);
        double left = batteries.stream()
                .mapToDouble(LivedBattery::kilowattHoursMissing)
                .sum();
        return new WeekResult(
                shifts,
                stood,
                (int) batteries.stream().filter(battery -> battery.bare).count(),
                gasMinutes,
                handMinutes,
                cost + cheapest * left,
                mostKilowatts,
                spread(batteries),
                charges);
    }

    private double spread(Collection<LivedBattery> batteries) {
        List<String> fixed = room.machines().stream()
                .filter(PlanMachine::fixed)
                .map(PlanMachine::battery)
                .toList();
        return batteries.stream()
                .filter(battery -> !fixed.contains(battery.sheet.code()))
                .sorted(Comparator.comparing(battery -> battery.sheet.code()))
                .collect(Collectors.groupingBy(battery -> battery.sheet.volts()))
                .values()
                .stream()
                .mapToDouble(Tally::deviation)
                .average()
                .orElse(0);
    }

    private static double deviation(List<LivedBattery> pool) {
        double mean =
                pool.stream().mapToInt(battery -> battery.cycles).average().orElse(0);
        return Math.sqrt(pool.stream()
                .mapToDouble(battery -> (battery.cycles - mean) * (battery.cycles - mean))
                .average()
                .orElse(0));
    }
}
