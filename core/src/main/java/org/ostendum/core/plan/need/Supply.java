package org.ostendum.core.plan.need;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.cost.EnergyPrice;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Price;
import org.ostendum.core.plan.room.Times;

/** What a house might have more or less of. */
public enum Supply {
    AS_IT_IS {
        @Override
        PlanProblem given(PlanProblem house, Pool pool, ZoneId zone) {
            return house;
        }
    },
    /** Of the batteries that stand, the one that has worked most. */
    BATTERY_LESS {
        @Override
        PlanProblem given(PlanProblem house, Pool pool, ZoneId zone) {
            Set<String> busy = busy(house);
            return pool.batteries(house).stream()
                    .filter(battery -> !busy.contains(battery.code()))
                    .max(Comparator.comparing(PoolBattery::cycles).thenComparing(PoolBattery::code))
                    .map(gone -> house.with(site -> site.withBatteries(house.batteries().stream()
                            .filter(battery -> !battery.equals(gone))
                            .toList())))
                    .orElse(house);
        }
    },
    /** Another like the one that has worked least. */
    BATTERY_MORE {
        @Override
        PlanProblem given(PlanProblem house, Pool pool, ZoneId zone) {
            return pool.batteries(house).stream()
                    .min(Comparator.comparing(PoolBattery::held)
                            .thenComparing(PoolBattery::cycles)
                            .thenComparing(PoolBattery::code))
                    .map(like -> with(house, like))
                    .orElse(house);
        }
    },
    /** Two like the one that goes with most of the pool; power and air stay as they are. */
    CHARGERS_MORE {
        @Override
        PlanProblem given(PlanProblem house, Pool pool, ZoneId zone) {
            List<String> codes =
                    pool.batteries(house).stream().map(PoolBattery::code).toList();
            Map<String, Long> with = house.charging().stream()
                    .filter(pair -> codes.contains(pair.battery()))
                    .collect(Collectors.groupingBy(Pairing::charger, Collectors.counting()));
            return house.chargers().stream()
                    .filter(charger -> with.containsKey(charger.code()))
                    .max(Comparator.comparing((PlanCharger charger) -> with.getOrDefault(charger.code(), 0L))
                            .thenComparing(PlanCharger::code, Comparator.reverseOrder()))
                    .map(like -> with(with(house, like, "+1"), like, "+2"))
                    .orElse(house);
        }
    },
    /** Charged after use and used warm, as fast and opportunity charging have it: no hours of rest. */
    NO_REST {
        @Override
        PlanProblem given(PlanProblem house, Pool pool, ZoneId zone) {
            return house.with(site -> site.withRules(
                    new Times(0, house.rules().changeMinutes(), house.rules().plugMinutes())));
        }
    },
    /** A kWh at night for half its price. */
    CHEAP_NIGHTS {
        @Override
        PlanProblem given(PlanProblem house, Pool pool, ZoneId zone) {
            return house.with(site -> site.withTariff(cheapNights(house, zone)));
        }
    };

    private static final double OF_PRICE = 0.5;
    private static final int NIGHT_FROM = 22;
    private static final int NIGHT_UNTIL = 6;

    /** @return the house with it */
    abstract PlanProblem given(PlanProblem house, Pool pool, ZoneId zone);

    /** Those in machines and those that people have plans with. */
    private static Set<String> busy(PlanProblem house) {
        Set<String> busy = new HashSet<>();
        house.machines().stream().map(PlanMachine::battery).forEach(busy::add);
        house.pinned().forEach(job -> busy.add(job.battery()));
        return busy;
    }

    private static PlanProblem with(PlanProblem house, PoolBattery like) {
        String code = like.code() + "+1";
        PoolBattery more = new PoolBattery(
                code,
                like.volts(),
                like.connector(),
                like.weightKg(),
                like.capacityAh(),
                0,
                null,
                false,
                like.leastSoc(),
                like.cycles(),
                like.place(),
                List.of());
        Stream<Pairing> pairs = house.charging().stream()
                .filter(pair -> pair.battery().equals(like.code()))
                .map(pair ->
                        new Pairing(code, pair.charger(), pair.minutesPerAh(), pair.finishMinutes(), pair.spread()));
        return house.with(site -> site.withBatteries(both(house.batteries(), Stream.of(more))))
                .with(site -> site.withCharging(both(house.charging(), pairs)));
    }

    private static PlanProblem with(PlanProblem house, PlanCharger like, String suffix) {
        PlanCharger more = new PlanCharger(
                like.code() + suffix,
                like.volts(),
                like.connector(),
                like.place(),
                like.kw(),
                like.litresPerHour(),
                List.of());
        Stream<Pairing> pairs = house.charging().stream()
                .filter(pair -> pair.charger().equals(like.code()))
                .map(pair -> new Pairing(
                        pair.battery(), more.code(), pair.minutesPerAh(), pair.finishMinutes(), pair.spread()));
        return house.with(site -> site.withChargers(both(house.chargers(), Stream.of(more))))
                .with(site -> site.withCharging(both(house.charging(), pairs)));
    }

    private static <T> List<T> both(List<T> one, Stream<T> other) {
        return Stream.concat(one.stream(), other).toList();
    }

    /** By whole hours of the clock. */
    private static List<Price> cheapNights(PlanProblem house, ZoneId zone) {
        EnergyPrice price = new EnergyPrice(house.tariff());
        List<Price> prices = new ArrayList<>();
        Instant at = house.from().truncatedTo(ChronoUnit.HOURS);
        while (at.isBefore(house.until())) {
            Instant next = at.plus(Duration.ofHours(1));
            int hour = at.atZone(zone).getHour();
            double part = hour >= NIGHT_FROM || hour < NIGHT_UNTIL ? OF_PRICE : 1;
            prices.add(new Price(at, next, part * price.hoursTimesPrice(at, next)));
            at = next;
        }
        return prices;
    }
}
