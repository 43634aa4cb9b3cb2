package org.ostendum.sim.week;

import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/** Lives through a week minute by minute, keeping to the plan in force as far as what happens lets it. */
final class WeekRun {
    /** So long after its planned beginning a job may still begin: a battery that cools a little longer still goes to work. */
    private static final Duration GRACE = Duration.ofMinutes(15);

    private static final Duration STILL_RUNS = Duration.ofMinutes(15);

    private final Week week;
    private final Lead lead;
    private final PlanLookup lookup;
    private final Tally tally;
    private final Map<String, LivedBattery> batteries = new LinkedHashMap<>();
    private final Map<String, LivedBattery> onCharger = new LinkedHashMap<>();
    private final Map<String, String> inMachine;
    private final Obstacles obstacles;
    private final Map<String, Instant> busy = new LinkedHashMap<>();
    private final Set<String> begun = new HashSet<>();
    private final Set<String> met = new HashSet<>();
    private @Nullable Plan plan;
    private boolean news = true;
    private Instant now;

    WeekRun(Week week, Lead lead) {
        this.week = week;
        this.lead = lead;
        this.lookup = new PlanLookup(week.room());
        this.tally = new Tally(week.room());
        this.inMachine = new LinkedHashMap<>(lookup.inMachines());
        this.obstacles = new Obstacles(week, batteries, inMachine);
        this.now = week.room().from();
        week.room()
                .batteries()
                .forEach(sheet -> batteries.put(
                        sheet.code(),
                        new LivedBattery(sheet, week.seed() + sheet.code().hashCode())));
    }

    WeekResult run() {
        for (; now.isBefore(week.end()); now = now.plusSeconds(60)) {
            batteries.values().forEach(this::end);
            accidents();
            if (news || isInTheWay()) {
                news = false;
                plan = lead.plan(
                        new SeenRoom(week, now, tally.mostKilowatts()).problem(batteries.values(), inMachine, plan),
                        plan);
                begun.clear();
            }
            begin();
            shifts();
            charge();
        }
        return tally.result(batteries.values());
    }

    private void end(LivedBattery battery) {
        PlanJob job = battery.at;
        if (job == null || now.isBefore(battery.until)) {
            return;
        }
        switch (job.what()) {
            case USE -> back(battery, job);
            case CHARGE -> {
                // The planned time is over and it still runs.
                battery.until = now.plus(STILL_RUNS);
                news = true;
            }
            case EQUALISE -> {
                battery.cared(Task.EQUALISE);
                full(battery, job);
            }
            default -> {
                if (job.what().isCare()) {
                    battery.cared(job.what());
                }
                battery.at = null;
            }
        }
    }

    private void back(LivedBattery battery, PlanJob use) {
        PlanMachine machine = Objects.requireNonNull(lookup.machine(use.machine()));
        Shift shift = Objects.requireNonNull(lookup.shift(use.machine(), use.shift()));
        Accidents.Outing outing = week.accidents().of(machine, shift);
        Instant real = shift.end().plus(Duration.ofMinutes(outing.lateMinutes()));
        news = true;
        if (now.isBefore(real)) {
            battery.until = real;
            return;
        }
        battery.takeOut(shift.ah() * outing.ahPart());
        battery.at = null;
    }

    private void full(LivedBattery battery, PlanJob charge) {
        boolean fixed = lookup.isFixed(battery.sheet.code());
        battery.charged(
                fixed ? now : now.plus(Duration.ofMinutes(week.room().rules().coolMinutes())));
        battery.look(now);
        onCharger.remove(charge.charger());
        battery.at = null;
        news = true;
    }

    private void accidents() {
        week.accidents().broken().forEach((charger, spans) -> {
            if (spans.stream()
                    .anyMatch(span -> span.start().equals(now) || span.end().equals(now))) {
                news = true;
            }
            LivedBattery battery = onCharger.get(charger);
            if (battery != null && week.accidents().isBroken(charger, now)) {
                battery.brokenOff();
                battery.at = null;
                onCharger.remove(charger);
            }
        });
        week.accidents()
                .missing()
                .values()
                .forEach(spans ->
                        news |= spans.stream().anyMatch(span -> span.start().equals(now)));
    }

    /** @return whether what should begin now cannot */
    private boolean isInTheWay() {
        return plan != null
                && plan.jobs().stream()
                        .filter(job -> job.start().equals(now) && !job.what().runsByItself())
                        .anyMatch(job -> !battery(job).isReady(now));
    }

    private LivedBattery battery(PlanJob job) {
        return Objects.requireNonNull(batteries.get(job.battery()));
    }

    private void begin() {
        for (PlanJob job : Objects.requireNonNull(plan).jobs()) {
            boolean due = !job.start().isAfter(now)
                    && now.isBefore(job.start().plus(GRACE))
                    && !job.pinned()
                    && !begun.contains(job.id());
            if (due && begin(job)) {
                begun.add(job.id());
            }
        }
    }

    private boolean begin(PlanJob job) {
        LivedBattery battery = battery(job);
        return switch (job.what()) {
            case USE ->
                battery.isReady(now) && battery.sheet.code().equals(inMachine.get(job.machine())) && use(battery, job);
            case CHANGE -> battery.isReady(now) && isIn(job.machine()) && hands(battery, job) && put(job);
            case CHARGE -> battery.isIdle() && !battery.full && plug(battery, job);
            case WATER, ROUND, WASH, TEST ->
                battery.isIdle() && (battery.full || !job.what().wantsFull()) && hands(battery, job);
            // Follows its charge by itself, and so does rest.
            case EQUALISE, COOL -> true;
        };
    }

    private boolean isIn(@Nullable String machine) {
        LivedBattery there = machine == null ? null : batteries.get(inMachine.getOrDefault(machine, ""));
        return there == null || there.at == null || there.at.what() != Task.USE;
    }

    private boolean use(LivedBattery battery, PlanJob job) {
        Shift shift = Objects.requireNonNull(lookup.shift(job.machine(), job.shift()));
        battery.at = job;
        battery.until = shift.end();
        met.add(job.machine() + " " + job.shift());
        return true;
    }

    /** @return whether there is somebody for it */
    private boolean hands(LivedBattery battery, PlanJob job) {
        Duration lasts = job.span().length();
        for (Worker worker : week.room().people()) {
            boolean there = worker.may().contains(job.what())
                    && worker.shifts().stream()
                            .anyMatch(span -> !now.isBefore(span.start()) && now.isBefore(span.end()))
                    && !week.accidents().isMissing(worker.code(), now)
                    && !busy.getOrDefault(worker.code(), Instant.MIN).isAfter(now);
            if (there) {
                busy.put(worker.code(), now.plus(lasts));
                battery.at = job;
                battery.until = now.plus(lasts);
                tally.hands((int) lasts.toMinutes());
                return true;
            }
        }
        return false;
    }

    private boolean put(PlanJob change) {
        inMachine.values().remove(change.battery());
        inMachine.put(Objects.requireNonNull(change.machine()), change.battery());
        return true;
    }

    private boolean plug(LivedBattery battery, PlanJob job) {
        String charger = Objects.requireNonNull(job.charger());
        if (onCharger.containsKey(charger) || week.accidents().isBroken(charger, now) || isTooMuch(charger)) {
            return false;
        }
        battery.beginCharge();
        battery.at = new PlanJob(
                job.id(), Task.CHARGE, job.battery(), null, null, charger, null, now, job.end(), false, null);
        battery.until = now.plus(job.span().length());
        onCharger.put(charger, battery);
        tally.charge();
        return true;
    }

    /** @return whether the room's power would not bear that charger too: one that runs late leaves less */
    private boolean isTooMuch(String charger) {
        Double most = week.room().room().kwMost();
        double sum = kilowatts(charger)
                + onCharger.keySet().stream().mapToDouble(this::kilowatts).sum();
        return most != null && sum > most;
    }

    private double kilowatts(String charger) {
        return Objects.requireNonNull(lookup.charger(charger)).kw();
    }

    private void shifts() {
        for (PlanMachine machine : week.room().machines()) {
            for (Shift shift : machine.shifts()) {
                if (shift.start().plus(GRACE).equals(now)) {
                    tally.shift(met.contains(machine.code() + " " + shift.id()) ? null : obstacles.of(machine, now));
                }
            }
        }
    }

    private void charge() {
        double kilowatts = 0;
        double gassed = 0;
        for (LivedBattery battery : List.copyOf(onCharger.values())) {
            PlanJob job = Objects.requireNonNull(battery.at);
            LivedBattery.Minute minute = battery.chargeMinute(job.what() == Task.EQUALISE);
            kilowatts += minute.kilowatts();
            gassed += minute.gassedAh();
            if (minute.ended()) {
                ended(battery, job);
            }
        }
        tally.minute(now, kilowatts, gassed);
    }

    private void ended(LivedBattery battery, PlanJob charge) {
        PlanJob next = Objects.requireNonNull(plan)
                .jobs(Task.EQUALISE)
                .filter(job -> job.battery().equals(charge.battery())
                        && Objects.equals(job.charger(), charge.charger())
                        && job.end().isAfter(now))
                .findFirst()
                .orElse(null);
        if (next == null) {
            full(battery, charge);
            return;
        }
        battery.at = new PlanJob(
                next.id(),
                Task.EQUALISE,
                next.battery(),
                null,
                null,
                next.charger(),
                null,
                now,
                next.end(),
                false,
                null);
        battery.until = now.plus(next.span().length());
    }
}
