package org.ostendum.sim.week;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PlanSite;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/** The room as whoever leads it sees it at a moment: what runs is a fact, what will go wrong is not known. */
final class SeenRoom {
    private static final Duration AHEAD = Duration.ofHours(36);
    private static final Duration LEAST_LEFT = Duration.ofMinutes(1);

    private final Week week;
    private final Instant now;

    private final double reached;

    SeenRoom(Week week, Instant now, double reached) {
        this.reached = reached;
        this.week = week;
        this.now = now;
    }

    PlanProblem problem(Collection<LivedBattery> batteries, Map<String, String> inMachine, @Nullable Plan inForce) {
        PlanProblem room = week.room();
        List<PlanJob> running = batteries.stream()
                .filter(battery -> battery.at != null && runs(battery.at))
                .map(this::running)
                .toList();
        return new PlanProblem(
                now,
                now.plus(AHEAD),
                room.seconds(),
                room.seed(),
                inForce,
                running,
                new PlanSite(
                        room.machines().stream()
                                .map(machine -> machine(machine, inMachine.get(machine.code()), running))
                                .toList(),
                        batteries.stream().map(SeenRoom::battery).toList(),
                        room.chargers().stream().map(this::charger).toList(),
                        room.charging(),
                        room.people().stream().map(this::worker).toList(),
                        room.room().reached(reached),
                        room.tariff(),
                        room.rules()),
                room.weights());
    }

    private static boolean runs(PlanJob job) {
        return job.what() == Task.USE || job.what().wantsCharger();
    }

    private PlanJob running(LivedBattery battery) {
        PlanJob job = Objects.requireNonNull(battery.at);
        Instant least = now.plus(LEAST_LEFT);
        boolean uses = job.what() == Task.USE;
        return new PlanJob(
                "now-" + battery.sheet.code(),
                uses ? Task.USE : Task.CHARGE,
                battery.sheet.code(),
                job.machine(),
                job.shift(),
                job.charger(),
                null,
                job.start().isBefore(now) ? job.start() : now.minusSeconds(1),
                !uses && battery.until.isBefore(least) ? least : battery.until,
                true,
                null);
    }

    /** What is over is over; what comes back late is known to. */
    private PlanMachine machine(PlanMachine machine, @Nullable String battery, List<PlanJob> running) {
        List<Shift> shifts = new ArrayList<>();
        for (Shift shift : machine.shifts()) {
            if (!shift.start().isBefore(now)) {
                shifts.add(shift);
                continue;
            }
            running.stream()
                    .filter(job ->
                            machine.code().equals(job.machine()) && shift.id().equals(job.shift()))
                    .forEach(job -> shifts.add(new Shift(shift.id(), job.start(), job.end(), shift.ah())));
        }
        return machine.holding(battery, shifts);
    }

    private static PoolBattery battery(LivedBattery battery) {
        PoolBattery sheet = battery.sheet;
        boolean works = battery.at != null && battery.at.what() == Task.USE;
        boolean charges = battery.at != null && battery.at.what().wantsCharger();
        return new PoolBattery(
                sheet.code(),
                sheet.volts(),
                sheet.connector(),
                sheet.weightKg(),
                sheet.capacityAh(),
                works ? 0 : charges ? Math.max(1, battery.missing()) : battery.missing(),
                works ? null : battery.cool,
                false,
                sheet.leastSoc(),
                battery.cycles,
                sheet.place(),
                battery.due);
    }

    private PlanCharger charger(PlanCharger charger) {
        List<Span> away = week.accidents().broken().getOrDefault(charger.code(), List.of()).stream()
                .filter(span -> !span.start().isAfter(now) && span.end().isAfter(now))
                .map(span -> new Span(now, span.end()))
                .toList();
        return charger.away(away);
    }

    /** Nobody says a day before that he will be ill. */
    private Worker worker(Worker worker) {
        List<Span> missing = week.accidents().missing().getOrDefault(worker.code(), List.of());
        List<Span> there = worker.shifts().stream()
                .filter(shift -> shift.start().isAfter(now) || !missing.contains(shift))
                .toList();
        return worker.there(there);
    }
}
