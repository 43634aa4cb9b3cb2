package org.ostendum.core.plan.need;

import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/**
 * The same week when things go badly: every machine of the pool takes more out, its best charger stands dead, and one person is missing for
 * two days. How badly is a rule of thumb.
 */
final class BadWeek {
    private static final double MORE_AH = 1.2;
    private static final Duration MISSING = Duration.ofDays(2);

    private BadWeek() {}

    static PlanProblem of(PlanProblem house, Pool pool) {
        double most = pool.batteries(house).stream()
                .mapToDouble(PoolBattery::usableAh)
                .max()
                .orElse(0);
        @Nullable String dead = deadCharger(house, pool);
        @Nullable
        String away = house.people().stream()
                .filter(worker -> worker.may().contains(Task.CHANGE))
                .max(Comparator.comparingInt((Worker worker) -> worker.shifts().size())
                        .thenComparing(Worker::code, Comparator.reverseOrder()))
                .map(Worker::code)
                .orElse(null);
        return house.with(site -> site.withMachines(house.machines().stream()
                        .map(machine -> pool.has(machine) ? harder(machine, most, house) : machine)
                        .toList()))
                .with(site -> site.withChargers(house.chargers().stream()
                        .map(charger -> charger.code().equals(dead)
                                ? charger.away(List.of(new Span(house.from(), house.until())))
                                : charger)
                        .toList()))
                .with(site -> site.withPeople(house.people().stream()
                        .map(worker -> worker.code().equals(away) ? missing(worker, house) : worker)
                        .toList()));
    }

    /** One that is charging now stays as it is. */
    private static @Nullable String deadCharger(PlanProblem house, Pool pool) {
        List<String> codes =
                pool.batteries(house).stream().map(PoolBattery::code).toList();
        return house.charging().stream()
                .filter(pair -> codes.contains(pair.battery()))
                .map(Pairing::charger)
                .filter(charger -> house.pinned().stream().noneMatch(job -> charger.equals(job.charger())))
                .min(Comparator.naturalOrder())
                .orElse(null);
    }

    /** What has begun has taken what it takes. */
    private static PlanMachine harder(PlanMachine machine, double most, PlanProblem house) {
        return machine.with(machine.shifts().stream()
                .map(shift -> shift.start().isBefore(house.from())
                        ? shift
                        : new Shift(
                                shift.id(),
                                shift.start(),
                                shift.end(),
                                Math.max(shift.ah(), Math.min(most, MORE_AH * shift.ah()))))
                .toList());
    }

    private static Worker missing(Worker worker, PlanProblem house) {
        Span away = new Span(house.from(), house.from().plus(MISSING));
        return worker.there(
                worker.shifts().stream().filter(shift -> !shift.touches(away)).toList());
    }
}
