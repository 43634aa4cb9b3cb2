package org.ostendum.app.plan.house;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Sizes;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.plan.hours.Hours;
import org.ostendum.app.plan.hours.WeekHours;
import org.ostendum.core.battery.CaseSize;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.plan.ExpectedWork;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Component;

/** Machines of the house with what they need: hours as people have said, ampere-hours as they have been usual. */
@Component
public class HouseMachines {
    private static final int LEARNED_DAYS = 60;
    /** Where nothing is on record, half of a battery (rule of thumb). */
    private static final double USUAL_PART = 0.5;

    private static final double USABLE_PART = 0.75;
    private static final double MOST_KG = 20_000;

    private final Machines machines;
    private final Sizes sizes;
    private final Hours hours;
    private final Ledger ledger;
    private final ZoneId zone;

    HouseMachines(Machines machines, Sizes sizes, Hours hours, Ledger ledger, ZoneId zone) {
        this.machines = machines;
        this.sizes = sizes;
        this.hours = hours;
        this.ledger = ledger;
        this.zone = zone;
    }

    /** @param states of the batteries, by their ids */
    List<PlanMachine> machines(
            Collection<Battery> batteries,
            Map<Long, BatteryState> states,
            Instant from,
            Instant until,
            List<Mishap> mishaps) {
        Map<Long, List<WeekHours>> week = hours.ofMachines().stream().collect(Collectors.groupingBy(WeekHours::ofId));
        Map<String, Battery> inMachine = inMachine(batteries, states);
        Map<Long, CaseSize> models = sizes.ofModels();
        Map<Long, CaseSize> bays = sizes.ofBays();
        Map<Integer, ExpectedWork> expected = new HashMap<>();
        List<PlanMachine> all = new ArrayList<>();
        for (Machine machine : machines.all()) {
            Battery battery = inMachine.get(machine.code());
            @Nullable Integer volts = volts(machine, battery);
            boolean fixed = isFixed(machine, battery);
            if (volts == null || (fixed && battery == null)) {
                continue;
            }
            List<Battery> like = fixed && battery != null ? List.of(battery) : alike(batteries, volts);
            ExpectedWork work = fixed ? learned(like, from) : expected.computeIfAbsent(volts, v -> learned(like, from));
            double capacity = capacity(like, battery);
            List<Shift> shifts = new ArrayList<>();
            week.getOrDefault(machine.id(), List.of()).forEach(hour -> hour.within(from, until, zone).stream()
                    .map(dated -> shift(dated, hour.ah(), work, capacity))
                    .forEach(shifts::add));
            besides(machine, mishaps, USUAL_PART * capacity).forEach(shifts::add);
            shifts.sort(Comparator.comparing(Shift::start));
            all.add(new PlanMachine(
                    machine.code(),
                    volts,
                    connector(machine, battery),
                    machine.weightFromKg() == null ? 0 : machine.weightFromKg(),
                    machine.weightToKg() == null ? MOST_KG : machine.weightToKg(),
                    battery == null ? null : battery.code(),
                    fixed,
                    refused(bays.get(machine.id()), batteries, models, battery),
                    shifts));
        }
        return all;
    }

    /** A change that somebody is at is as good as made: the battery that is being fetched is the machine's, the old one is not. */
    private static Map<String, Battery> inMachine(Collection<Battery> batteries, Map<Long, BatteryState> states) {
        Map<String, Battery> inMachine = new HashMap<>();
        for (Battery battery : batteries) {
            if (battery.machineCode() != null) {
                inMachine.putIfAbsent(battery.machineCode(), battery);
            }
        }
        for (Battery battery : batteries) {
            String promised = Objects.requireNonNull(states.get(battery.id())).promisedTo();
            if (promised != null) {
                inMachine.values().remove(battery);
                inMachine.put(promised, battery);
            }
        }
        return inMachine;
    }

    /** What nobody has measured is not refused, and neither is the one that is in it already. */
    private static Set<String> refused(
            @Nullable CaseSize bay, Collection<Battery> batteries, Map<Long, CaseSize> models, @Nullable Battery inIt) {
        if (bay == null) {
            return Set.of();
        }
        return batteries.stream()
                .filter(battery -> inIt == null || battery.id() != inIt.id())
                .filter(battery -> {
                    CaseSize size = models.get(battery.type().id());
                    return size != null && !size.sitsIn(bay);
                })
                .map(Battery::code)
                .collect(Collectors.toSet());
    }

    /** What is charged in breaks stays in its machine and works warm. */
    public static boolean isFixed(Machine machine, @Nullable Battery battery) {
        return machine.kind() != MachineKind.FORKLIFT
                || (battery != null && battery.type().opportunity());
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

    /** Batteries of trucks of that voltage: what cars and platforms work tells nothing of them. */
    private static List<Battery> alike(Collection<Battery> batteries, int volts) {
        return batteries.stream()
                .filter(battery -> battery.type().model().nominalVolts() == volts
                        && battery.type().model().duty() == Duty.MOTIVE)
                .toList();
    }

    private static double capacity(Collection<Battery> like, @Nullable Battery battery) {
        return battery != null
                ? battery.type().model().capacity().ampHours()
                : like.stream()
                        .mapToDouble(b -> b.type().model().capacity().ampHours())
                        .min()
                        .orElse(0);
    }

    private ExpectedWork learned(Collection<Battery> like, Instant now) {
        Instant since = now.minusSeconds(86_400L * LEARNED_DAYS);
        Map<Long, EventLog> past = ledger.charges(like.stream().map(Battery::id).toList(), since);
        return ExpectedWork.of(
                past.values().stream()
                        .map(log -> log.between(BatteryEvent.Worked.class, since, now))
                        .toList(),
                zone);
    }

    /** What people have said; else what has been usual, as far as a battery can give it. */
    private static Shift shift(WeekHours.Dated dated, @Nullable Double ah, ExpectedWork work, double capacity) {
        double usual = work.on(dated.date().getDayOfWeek()).orElse(USUAL_PART * capacity);
        double wanted = ah == null ? Math.min(usual, USABLE_PART * capacity) : ah;
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
