package org.ostendum.core.plan.make;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.Plan.Unmet;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.cost.Hurry;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;

/** Which battery works in which machine, and where each is on its round of work, charge and rest. */
final class Uses {
    private static final long DAY = 86_400;

    private final Draft draft;
    private final Resources resources;
    private final Decisions decisions;
    private final Map<String, String> inMachine;
    private final Map<String, Long> machineFree = new HashMap<>();
    private final Map<String, Standing> standings = new HashMap<>();
    /** For each battery the machines it was decided for, by the beginnings of their shifts. */
    private final Map<String, NavigableMap<Long, String>> promised = new HashMap<>();
    /** Machines that go without until a battery is ready, by that. */
    private final Map<String, String> awaited = new HashMap<>();

    Uses(Draft draft, Decisions decisions) {
        this.draft = draft;
        this.resources = draft.resources;
        this.decisions = decisions;
        this.inMachine = draft.lookup.inMachines();
        for (PlanMachine machine : draft.problem.machines()) {
            machine.shifts().forEach(shift -> promise(machine, shift));
        }
    }

    private void promise(PlanMachine machine, Shift shift) {
        String battery = decisions.batteryOf(Decisions.shift(machine, shift));
        if (battery != null) {
            promised.computeIfAbsent(battery, any -> new TreeMap<>())
                    .put(resources.seconds(shift.start()), machine.code());
        }
    }

    /** Where a battery is: what is missing in it, since when it is ready, until when it was last used. */
    private static final class Standing {
        private double missing;
        private @Nullable Long ready;
        private long usedUntil = Long.MIN_VALUE;
        private int uses;
    }

    void begin(PoolBattery battery) {
        Standing standing = new Standing();
        standing.missing = battery.missingAh();
        standing.ready = ready(battery);
        standings.put(battery.code(), standing);
    }

    private @Nullable Long ready(PoolBattery battery) {
        if (battery.missingAh() > 0 || battery.held()) {
            return null;
        }
        // One that stands full has rested long enough.
        return battery.coolUntil() == null ? -DAY : resources.seconds(battery.coolUntil());
    }

    private Standing of(String battery) {
        return Objects.requireNonNull(standings.get(battery));
    }

    double missing(String battery) {
        return of(battery).missing;
    }

    long usedUntil(String battery) {
        return of(battery).usedUntil;
    }

    /** @return when the battery that was decided can be put in; long ago for none and for one that has not been charged */
    long changedFrom(PlanMachine machine, Shift shift) {
        String battery = decisions.batteryOf(Decisions.shift(machine, shift));
        return battery == null || of(battery).ready == null ? -DAY : changedFrom(machine, shift, battery);
    }

    /** Where one shift follows upon the other the change is made at the hand-over. */
    private long changedFrom(PlanMachine machine, Shift shift, String battery) {
        long free = machineFree.getOrDefault(machine.code(), 0L);
        long handOver = Math.min(
                free,
                resources.seconds(shift.start()) - 60L * draft.problem.rules().changeMinutes());
        return Math.max(Math.max(0, Objects.requireNonNull(of(battery).ready)), handOver);
    }

    void ready(String battery, long at) {
        Standing standing = of(battery);
        standing.missing = 0;
        standing.ready = at;
    }

    String pinned(PlanMachine machine, Shift shift, PlanJob use) {
        inMachine.values().remove(use.battery());
        worked(machine, shift, use.battery());
        return use.battery();
    }

    /** @return the battery that works the shift; empty where none can, which is told with its reason */
    Optional<String> work(PlanMachine machine, Shift shift) {
        String key = Decisions.shift(machine, shift);
        @Nullable String decided = decisions.batteryOf(key);
        @Nullable Instant change = decisions.changeOf(key).orElse(null);
        List<PoolBattery> fit = draft.problem.batteries().stream()
                .filter(battery -> battery.fits(machine) && !battery.held())
                .filter(battery -> shift.ah() <= battery.usableAh())
                .toList();
        long start = resources.seconds(shift.start());
        Stream<PoolBattery> inTurn = fit.stream()
                .filter(battery -> isReady(battery, shift))
                .filter(battery -> decided != null || !isPromised(battery, shift))
                .sorted(turn(decided, inMachine.get(machine.code())));
        for (PoolBattery battery : decisions.without().contains(key) ? List.<PoolBattery>of() : inTurn.toList()) {
            if (battery.code().equals(inMachine.get(machine.code()))
                    || change(machine, shift, battery.code(), change)) {
                draft.use(battery.code(), machine.code(), shift, why(battery.code(), decided, start));
                worked(machine, shift, battery.code());
                return Optional.of(battery.code());
            }
        }
        draft.unmet(new Unmet(machine.code(), shift.id(), null, null, shift.start(), lack(machine, shift, fit)));
        return Optional.empty();
    }

    private boolean isReady(PoolBattery battery, Shift shift) {
        Long ready = of(battery.code()).ready;
        long start = resources.seconds(shift.start());
        return ready != null
                && ready <= start
                && resources.battery(battery.code()).isFree(start, resources.seconds(shift.end()));
    }

    /**
     * Whether it would not be charged and cool again for a shift that it was decided for. Where the decided battery comes too late another
     * may go in its place even so: the two change roles.
     */
    private boolean isPromised(PoolBattery battery, Shift shift) {
        Map.Entry<Long, String> next = next(battery, shift);
        if (next == null) {
            return false;
        }
        long charged = draft.lookup.chargersFor(battery.code()).values().stream()
                .mapToLong(pair -> pair.seconds(shift.ah()))
                .min()
                .orElse(0);
        return next.getKey() < resources.seconds(shift.end()) + charged + draft.coolSeconds(battery.code());
    }

    /** @return the next shift that it was decided for, its beginning and its machine; null for none */
    private Map.@Nullable Entry<Long, String> next(PoolBattery battery, Shift shift) {
        NavigableMap<Long, String> shifts = promised.get(battery.code());
        return shifts == null ? null : shifts.ceilingEntry(resources.seconds(shift.start()));
    }

    /** The decided one, then the longest rested, then the one that is in the machine, then the one that has worked least. */
    private Comparator<PoolBattery> turn(@Nullable String decided, @Nullable String now) {
        return Comparator.comparing((PoolBattery battery) -> !battery.code().equals(decided))
                .thenComparing(battery -> Objects.requireNonNull(of(battery.code()).ready))
                .thenComparing(battery -> !battery.code().equals(now))
                .thenComparing(battery -> battery.cycles() + of(battery.code()).uses)
                .thenComparing(PoolBattery::code);
    }

    /** @param from when it was decided; null for the last moment */
    private boolean change(PlanMachine machine, Shift shift, String battery, @Nullable Instant from) {
        if (machine.fixed()) {
            return false;
        }
        Optional<PlanJob> pinned = draft.problem.pinned().stream()
                .filter(job -> job.what() == Task.CHANGE
                        && job.battery().equals(battery)
                        && machine.code().equals(job.machine())
                        && shift.id().equals(job.shift()))
                .findFirst();
        if (pinned.isPresent()) {
            return true;
        }
        long start = resources.seconds(shift.start());
        long lasts = 60L * draft.problem.rules().changeMinutes();
        long free = machineFree.getOrDefault(machine.code(), 0L);
        long earliest = changedFrom(machine, shift, battery);
        Calendar calendar = resources.battery(battery);
        Optional<Resources.Hand> soon = from == null
                ? Optional.empty()
                : resources.first(Task.CHANGE, soonest(battery, free, from), start, lasts, calendar);
        return soon.or(() -> resources.latest(Task.CHANGE, earliest, start, lasts, calendar))
                .map(hand -> {
                    String old = inMachine.get(machine.code());
                    draft.change(
                            battery,
                            machine.code(),
                            shift.id(),
                            hand,
                            old == null ? null : Message.of("plan.why.change", old));
                    return true;
                })
                .orElse(false);
    }

    /** A charge that takes longer than planned is waited for. */
    private long soonest(String battery, long machineFree, Instant from) {
        long ready = Objects.requireNonNull(of(battery).ready) + Hurry.WITHIN.toSeconds();
        return Math.max(Math.max(ready, machineFree), resources.seconds(from));
    }

    private @Nullable Message why(String battery, @Nullable String decided, long start) {
        long rested = start - Objects.requireNonNull(of(battery).ready);
        return decided != null && !decided.equals(battery)
                ? Message.of("plan.why.use.instead", decided)
                : Message.of("plan.why.use", (int) Math.max(0, rested / 3600));
    }

    private void worked(PlanMachine machine, Shift shift, String battery) {
        inMachine.values().remove(battery);
        inMachine.put(machine.code(), battery);
        awaited.remove(battery);
        long end = resources.seconds(shift.end());
        machineFree.put(machine.code(), end);
        Standing standing = of(battery);
        standing.missing += shift.ah();
        standing.ready = null;
        standing.usedUntil = end;
        standing.uses++;
    }

    /** The nearest thing to a battery, in words: what would help is what is missing. */
    private Message lack(PlanMachine machine, Shift shift, List<PoolBattery> fit) {
        if (fit.isEmpty()) {
            return noneFits(machine, shift);
        }
        List<PoolBattery> soonest = fit.stream()
                .filter(battery -> of(battery.code()).ready != null)
                .sorted(Comparator.comparing(battery -> Objects.requireNonNull(of(battery.code()).ready)))
                .toList();
        if (soonest.isEmpty()) {
            return Message.of("plan.unmet.none-charged", fit.size());
        }
        String next = soonest.stream()
                .map(PoolBattery::code)
                .filter(code -> !isAwaitedBefore(code, machine))
                .findFirst()
                .orElse(soonest.get(0).code());
        long ready = Objects.requireNonNull(of(next).ready);
        return ready > resources.seconds(shift.start())
                ? late(next, resources.instant(ready), machine)
                : unused(next, machine, shift, fit);
    }

    /**
     * Why none of those that are ready goes into it.
     *
     * @param soonest code of the one that has been ready longest, though it may be tied up meanwhile
     */
    private Message unused(String soonest, PlanMachine machine, Shift shift, List<PoolBattery> fit) {
        String key = Decisions.shift(machine, shift);
        List<PoolBattery> ready =
                fit.stream().filter(battery -> isReady(battery, shift)).toList();
        boolean isKept = decisions.batteryOf(key) == null
                && !ready.isEmpty()
                && ready.stream().allMatch(battery -> isPromised(battery, shift));
        if (isKept) {
            return kept(ready.get(0), shift);
        }
        String code = ready.stream()
                .filter(battery -> !isPromised(battery, shift))
                .findFirst()
                .map(PoolBattery::code)
                .orElse(soonest);
        return Message.of(decisions.without().contains(key) ? "plan.unmet.spared" : "plan.unmet.nobody", code);
    }

    private Message kept(PoolBattery battery, Shift shift) {
        Map.Entry<Long, String> next = Objects.requireNonNull(next(battery, shift));
        return Message.of("plan.unmet.kept", battery.code(), next.getValue(), resources.instant(next.getKey()));
    }

    /** One battery helps one machine: whoever goes without is told of another than the machine before. */
    private boolean isAwaitedBefore(String battery, PlanMachine machine) {
        return !awaited.getOrDefault(battery, machine.code()).equals(machine.code());
    }

    private Message late(String battery, Instant ready, PlanMachine machine) {
        if (isAwaitedBefore(battery, machine)) {
            return Message.of("plan.unmet.late-after", battery, ready, Objects.requireNonNull(awaited.get(battery)));
        }
        awaited.put(battery, machine.code());
        return Message.of("plan.unmet.late", battery, ready);
    }

    private Message noneFits(PlanMachine machine, Shift shift) {
        List<PoolBattery> byPlate = draft.problem.batteries().stream()
                .filter(battery -> battery.fits(machine))
                .toList();
        if (byPlate.isEmpty()) {
            return Message.of("plan.unmet.none-fits", machine.volts());
        }
        return byPlate.stream().allMatch(PoolBattery::held)
                ? Message.of("plan.unmet.held", byPlate.get(0).code())
                : Message.of("plan.unmet.too-small", (int) Math.ceil(shift.ah()));
    }
}
