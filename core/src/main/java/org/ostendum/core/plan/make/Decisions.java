package org.ostendum.core.plan.make;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;

/**
 * What is decided of a plan: which battery works which shift, from when it may be put in, and where and from when each charge runs.
 * What is not decided is chosen by the rule of thumb.
 *
 * @param batteries by {@link #shift}
 * @param charges by {@link #shift} of the use before, or by {@link #first}
 * @param changes by {@link #shift}: not before; one that is not named is made at the last moment
 * @param without {@link #shift}s that go without a battery, so that others have theirs
 */
public record Decisions(
        Map<String, String> batteries, Map<String, Charge> charges, Map<String, Instant> changes, Set<String> without) {
    /** Nothing is decided: plug in where a charger is free, the longest rested goes to work first. */
    public static final Decisions NONE = new Decisions(Map.of(), Map.of(), Map.of(), Set.of());

    public Decisions {
        batteries = Map.copyOf(batteries);
        charges = Map.copyOf(charges);
        changes = Map.copyOf(changes);
        without = Set.copyOf(without);
    }

    /**
     * Where a charge runs and before when it does not begin.
     *
     * @param charger null for whichever is free then
     */
    public record Charge(@Nullable String charger, Instant notBefore) {}

    public static String shift(PlanMachine machine, Shift shift) {
        return shift(machine.code(), shift.id());
    }

    public static String shift(String machine, String shift) {
        return machine + "\n" + shift;
    }

    /** Names the charge of a battery that lacks something at the beginning. */
    public static String first(String battery) {
        return "\n" + battery;
    }

    /** @return what has been decided in a plan that there is; what it leaves out is free */
    public static Decisions of(PlanProblem problem, Plan plan) {
        return of(problem, plan, Set.of(), null);
    }

    /**
     * @return the same where what a plan leaves out stays out: none of its jobs has to make room for a shift more, and what it does not charge is
     *     charged after all that it does
     */
    public static Decisions leavingOut(PlanProblem problem, Plan plan) {
        Set<String> unmet = new HashSet<>();
        for (Plan.Unmet one : plan.unmet()) {
            if (one.machine() != null && one.shift() != null) {
                unmet.add(shift(one.machine(), one.shift()));
            }
        }
        Instant last = plan.jobs().stream()
                .map(PlanJob::end)
                .max(Comparator.naturalOrder())
                .orElse(problem.from());
        return of(problem, plan, unmet, last);
    }

    private static Decisions of(PlanProblem problem, Plan plan, Set<String> without, @Nullable Instant chargesTheRest) {
        Map<String, String> batteries = new HashMap<>();
        Map<String, Charge> charges = new HashMap<>();
        Map<String, Instant> changes = new HashMap<>();
        Map<String, String> waiting = new HashMap<>();
        problem.batteries().forEach(battery -> waiting.put(battery.code(), first(battery.code())));
        for (PlanJob job : plan.jobs()) {
            if (job.what() == Task.USE && job.machine() != null && job.shift() != null) {
                String key = shift(job.machine(), job.shift());
                batteries.put(key, job.battery());
                waiting.put(job.battery(), isBack(problem, job) ? first(job.battery()) : key);
            } else if (job.what() == Task.CHANGE && job.machine() != null && job.shift() != null) {
                changes.put(shift(job.machine(), job.shift()), job.start());
            } else if (job.what() == Task.CHARGE && job.charger() != null) {
                String key = waiting.remove(job.battery());
                if (key != null) {
                    charges.put(key, new Charge(job.charger(), job.start()));
                }
            }
        }
        if (chargesTheRest != null) {
            waiting.values().forEach(key -> charges.put(key, new Charge(null, chargesTheRest)));
        }
        return new Decisions(batteries, charges, changes, without);
    }

    /** @return the same with every change made as soon as battery and machine are free: who is ill in the morning is missed less */
    public Decisions changedSoon(PlanProblem problem) {
        Map<String, Instant> soon = new HashMap<>();
        for (PlanMachine machine : problem.machines()) {
            machine.shifts().forEach(shift -> soon.put(shift(machine, shift), problem.from()));
        }
        return new Decisions(batteries, charges, soon, without);
    }

    /** @return the same where a shift that was to go without takes what is there then */
    public Decisions withoutNone() {
        return new Decisions(batteries, charges, changes, Set.of());
    }

    public Decisions withCharges(Map<String, Charge> others) {
        return new Decisions(batteries, others, changes, without);
    }

    /** What has come back from its machine stands and waits for its charge like any that lacks something at the beginning. */
    private static boolean isBack(PlanProblem problem, PlanJob use) {
        return !use.end().isAfter(problem.from())
                && problem.pinned().stream()
                        .noneMatch(
                                job -> job.what() == Task.USE && job.battery().equals(use.battery()));
    }

    @Nullable
    String batteryOf(String shift) {
        return batteries.get(shift);
    }

    Optional<Instant> changeOf(String shift) {
        return Optional.ofNullable(changes.get(shift));
    }

    Optional<Charge> charge(String key) {
        return Optional.ofNullable(charges.get(key));
    }
}
