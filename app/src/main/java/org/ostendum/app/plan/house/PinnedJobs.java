package org.ostendum.app.plan.house;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;

/** Pinned jobs in a house that has moved on: a charge stays where and from when it was pinned; it lasts as long as it takes by now, and so does a change. */
final class PinnedJobs {
    private final @Nullable Plan earlier;
    private final Instant from;
    private final List<PlanMachine> machines;
    private final List<PoolBattery> batteries;
    private final List<PlanCharger> chargers;
    private final List<Pairing> pairs;
    private final Duration change;

    PinnedJobs(
            @Nullable Plan earlier,
            Instant from,
            List<PlanMachine> machines,
            List<PoolBattery> batteries,
            List<PlanCharger> chargers,
            List<Pairing> pairs,
            Duration change) {
        this.change = change;
        this.earlier = earlier;
        this.from = from;
        this.machines = machines;
        this.batteries = batteries;
        this.chargers = chargers;
        this.pairs = pairs;
    }

    /** @return the job as it can still be; empty where its battery, charger or shift is not there for it any more */
    Optional<PlanJob> fit(PlanJob job) {
        PoolBattery battery = batteries.stream()
                .filter(b -> b.code().equals(job.battery()) && !b.held())
                .findFirst()
                .orElse(null);
        if (battery == null) {
            return Optional.empty();
        }
        if (job.what() != Task.CHARGE) {
            PlanJob lasting = job.what() == Task.CHANGE ? job.lasting(change) : job;
            return shift(job.machine(), job.shift()).isPresent() || job.shift() == null
                    ? Optional.of(lasting)
                    : Optional.empty();
        }
        return pairs.stream()
                .filter(pair ->
                        pair.battery().equals(job.battery()) && pair.charger().equals(job.charger()))
                .findFirst()
                .map(pair -> job.lasting(Duration.ofSeconds(pair.seconds(missing(job, battery)))))
                .filter(this::isChargerThere);
    }

    private double missing(PlanJob charge, PoolBattery battery) {
        return earlier == null
                ? battery.missingAh()
                : earlier.jobs(Task.USE)
                        .filter(use -> use.battery().equals(charge.battery()))
                        .filter(use -> use.end().isAfter(from) && !use.end().isAfter(charge.start()))
                        .max(Comparator.comparing(PlanJob::end))
                        .flatMap(use -> shift(use.machine(), use.shift()))
                        .map(Shift::ah)
                        .orElse(battery.missingAh());
    }

    private Optional<Shift> shift(@Nullable String machine, @Nullable String id) {
        return machines.stream()
                .filter(m -> m.code().equals(machine))
                .flatMap(m -> m.shifts().stream())
                .filter(shift -> shift.id().equals(id))
                .findFirst();
    }

    private boolean isChargerThere(PlanJob job) {
        Span span = job.span();
        return chargers.stream()
                .filter(charger -> charger.code().equals(job.charger()))
                .anyMatch(charger -> charger.away().stream().noneMatch(span::touches));
    }
}
