package org.ostendum.core.plan;

import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/** What a problem names, found by its code. */
public final class PlanLookup {
    private final Map<String, PlanMachine> machines;
    private final Map<String, PoolBattery> batteries;
    private final Map<String, PlanCharger> chargers;
    private final Map<String, Worker> people;
    private final Map<String, Map<String, Pairing>> pairings = new HashMap<>();
    private final Map<String, PlanMachine> fixedWith = new HashMap<>();

    public PlanLookup(PlanProblem problem) {
        machines = byCode(problem.machines(), PlanMachine::code);
        batteries = byCode(problem.batteries(), PoolBattery::code);
        chargers = byCode(problem.chargers(), PlanCharger::code);
        people = byCode(problem.people(), Worker::code);
        problem.charging().forEach(pair -> pairings.computeIfAbsent(pair.battery(), code -> new LinkedHashMap<>())
                .put(pair.charger(), pair));
        problem.machines().stream()
                .filter(machine -> machine.fixed() && machine.battery() != null)
                .forEach(machine -> fixedWith.put(machine.battery(), machine));
    }

    private static <T> Map<String, T> byCode(Iterable<T> all, Function<T, String> code) {
        Map<String, T> map = new LinkedHashMap<>();
        all.forEach(one -> map.put(code.apply(one), one));
        return map;
    }

    public @Nullable PlanMachine machine(@Nullable String code) {
        return code == null ? null : machines.get(code);
    }

    public @Nullable PoolBattery battery(@Nullable String code) {
        return code == null ? null : batteries.get(code);
    }

    public @Nullable PlanCharger charger(@Nullable String code) {
        return code == null ? null : chargers.get(code);
    }

    public @Nullable Worker worker(@Nullable String code) {
        return code == null ? null : people.get(code);
    }

    /** @return null for a pair that does not go together */
    public @Nullable Pairing pairing(String battery, @Nullable String charger) {
        return charger == null ? null : pairings.getOrDefault(battery, Map.of()).get(charger);
    }

    /** @return the chargers that go with a battery, in the order of the problem */
    public Map<String, Pairing> chargersFor(String battery) {
        return pairings.getOrDefault(battery, Map.of());
    }

    /** @return whether it stays in its machine, charges there and need not cool before it works */
    public boolean isFixed(String battery) {
        return fixedWith.containsKey(battery);
    }

    public @Nullable Shift shift(@Nullable String machine, @Nullable String id) {
        PlanMachine found = machine(machine);
        return found == null || id == null
                ? null
                : found.shifts().stream()
                        .filter(shift -> shift.id().equals(id))
                        .findFirst()
                        .orElse(null);
    }

    /** @return by id of a use: when its battery has to be ready, being changed first */
    public static Map<String, Instant> neededAt(Plan plan) {
        Map<String, Instant> changes = new HashMap<>();
        plan.jobs(Task.CHANGE).forEach(job -> changes.put(job.machine() + "\n" + job.shift(), job.start()));
        Map<String, Instant> needed = new HashMap<>();
        plan.jobs(Task.USE)
                .forEach(use ->
                        needed.put(use.id(), changes.getOrDefault(use.machine() + "\n" + use.shift(), use.start())));
        return needed;
    }

    /** @return the battery each machine has at the beginning */
    public Map<String, String> inMachines() {
        return machines.values().stream()
                .filter(machine -> machine.battery() != null)
                .collect(Collectors.toMap(
                        PlanMachine::code,
                        machine -> Objects.requireNonNull(machine.battery()),
                        (a, b) -> a,
                        LinkedHashMap::new));
    }
}
