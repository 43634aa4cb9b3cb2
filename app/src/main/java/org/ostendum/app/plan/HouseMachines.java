package org.ostendum.app.plan;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.plan.ExpectedWork;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.PlanProblem.Shift;
import org.ostendum.core.plan.Span;
import org.springframework.stereotype.Component;

/** Machines of the house with what they need: hours as people have said, ampere-hours as they have been usual. */
@Component
class HouseMachines {
    private static final int LEARNED_DAYS = 60;
    /** Where nothing is on record, half of a battery (rule of thumb). */
    private static final double USUAL_PART = 0.5;

    private static final double MOST_KG = 20_000;

    private final Machines machines;
    private final Hours hours;
    private final Ledger ledger;
    private final ZoneId zone;

    HouseMachines(Machines machines, Hours hours, Ledger ledger, ZoneId zone) {
        this.machines = machines;
        this.hours = hours;
        this.ledger = ledger;
        this.zone = zone;
    }

    List<PlanProblem.Machine> machines(
            Collection<Battery> batteries, Instant from, Instant until, List<Mishap> mishaps) {
        Map<Long, List<WeekHours>> week = hours.ofMachines().stream().collect(Collectors.groupingBy(WeekHours::ofId));
        Map<Long, Battery> inMachine = batteries.stream()
                .filter(battery -> battery.machineId() != null)
                .collect(Collectors.toMap(Battery::machineId, battery -> battery, (a, b) -> a));
        Map<Integer, ExpectedWork> expected = new HashMap<>();
        List<PlanProblem.Machine> all = new ArrayList<>();
        for (Machine machine : machines.all()) {
            Battery battery = inMachine.get(machine.id());
            @Nullable Integer volts = volts(machine, battery);
            boolean fixed = machine.kind() != MachineKind.FORKLIFT;
            if (volts == null || (fixed && battery == null)) {
                continue;
            }
            ExpectedWork work = expected.computeIfAbsent(volts, v -> learned(batteries, v, from));
            double half = USUAL_PART * capacity(batteries, volts, battery);
            List<Shift> shifts = new ArrayList<>();
            week.getOrDefault(machine.id(), List.of()).forEach(hour -> hour.within(from, until, zone).stream()
                    .map(dated -> shift(dated, hour.ah(), work, half))
                    .forEach(shifts::add));
            besides(machine, mishaps, half).forEach(shifts::add);
            shifts.sort(Comparator.comparing(Shift::start));
            all.add(new PlanProblem.Machine(
                    machine.code(),
                    volts,
                    connector(machine, battery),
                    machine.weightFromKg() == null ? 0 : machine.weightFromKg(),
                    machine.weightToKg() == null ? MOST_KG : machine.weightToKg(),
                    battery == null ? null : battery.code(),
                    fixed,
                    shifts));
        }
        return all;
    }

    private static @Nullable Integer volts(Machine machine, @Nullable Battery battery) {
        if (machine.volts() != null) {
            return machine.volts();
        }
        return battery == null ? null : (Integer) battery.type().model().nominalVolts();
    }

    private static String connector(Machine machine, @Nullable Battery battery) {
        return machine.connector().isEmpty() && battery != null ? battery.type().connector() : machine.connector();
    }

    private static double capacity(Collection<Battery> batteries, int volts, @Nullable Battery battery) {
        return battery != null
                ? battery.type().model().capacity().ampHours()
                : batteries.stream()
                        .filter(b -> b.type().model().nominalVolts() == volts)
                        .mapToDouble(b -> b.type().model().capacity().ampHours())
                        .min()
                        .orElse(0);
    }

    private ExpectedWork learned(Collection<Battery> batteries, int volts, Instant now) {
        Instant since = now.minusSeconds(86_400L * LEARNED_DAYS);
        List<Long> ids = batteries.stream()
                .filter(battery -> battery.type().model().nominalVolts() == volts)
                .map(Battery::id)
                .toList();
        Map<Long, EventLog> past = ledger.charges(ids, since);
        return ExpectedWork.of(
                past.values().stream()
                        .map(log -> log.between(BatteryEvent.Worked.class, since, now))
                        .toList(),
                zone);
    }

    private static Shift shift(WeekHours.Dated dated, @Nullable Double ah, ExpectedWork work, double half) {
        DayOfWeek day = dated.date().getDayOfWeek();
        double wanted = ah == null ? work.on(day).orElse(half) : ah;
        return new Shift(
                id(dated.date(), dated.span()),
                dated.span().start(),
                dated.span().end(),
                wanted);
    }

    private static String id(LocalDate date, Span span) {
        return date + "-" + span.start().getEpochSecond() / 60 % 1440;
    }

    private static List<Shift> besides(Machine machine, List<Mishap> mishaps, double half) {
        return mishaps.stream()
                .filter(mishap -> mishap.isOf(Mishap.Kind.ONE_MORE, machine.code()))
                .map(mishap -> new Shift(
                        "more-" + mishap.id(),
                        mishap.from(),
                        mishap.until(),
                        mishap.amount() == null ? half : mishap.amount()))
                .toList();
    }
}
