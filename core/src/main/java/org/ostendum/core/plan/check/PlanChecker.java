package org.ostendum.core.plan.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/**
 * Holds a plan against every hard rule, knowing nothing of how it was made: no plan is shown or kept that has not passed. What had
 * begun before the plan's beginning is a fact and is not judged.
 */
public final class PlanChecker {
    private final PlanProblem problem;
    private final PlanLookup lookup;
    private final List<PlanJob> jobs;
    private final Plan plan;
    private final List<Breach> breaches = new ArrayList<>();

    private PlanChecker(PlanProblem problem, Plan plan) {
        this.problem = problem;
        this.lookup = new PlanLookup(problem);
        this.plan = plan;
        this.jobs = plan.jobs();
    }

    /** @return every rule broken, by job; none for a valid plan */
    public static List<Breach> check(PlanProblem problem, Plan plan) {
        return new PlanChecker(problem, plan).checked();
    }

    private List<Breach> checked() {
        jobs.forEach(this::known);
        if (!breaches.isEmpty()) {
            return breaches;
        }
        ids();
        pinned();
        exclusive("battery", PlanJob::battery);
        exclusive("charger", PlanJob::charger);
        exclusive("person", PlanJob::person);
        exclusive("the", job -> job.isOnBench() ? "bench" : null);
        shifts();
        jobs.stream().filter(job -> !hasBegun(job)).forEach(this::byOneWhoMay);
        breaches.addAll(new InMachineCheck(problem, lookup, jobs).breaches());
        BatteryCheck batteries = new BatteryCheck(problem, lookup);
        byBattery().forEach((code, own) -> breaches.addAll(batteries.breaches(code, own)));
        breaches.addAll(RoomCheck.breaches(problem, lookup, jobs));
        return breaches;
    }

    static void add(List<Breach> breaches, HardRule rule, PlanJob job, String told) {
        breaches.add(new Breach(rule, job.id(), told));
    }

    private void add(HardRule rule, PlanJob job, String told) {
        add(breaches, rule, job, told);
    }

    private boolean hasBegun(PlanJob job) {
        return hasBegun(problem, job);
    }

    static boolean hasBegun(PlanProblem problem, PlanJob job) {
        return job.pinned() && job.start().isBefore(problem.from());
    }

    private Map<String, List<PlanJob>> byBattery() {
        Map<String, List<PlanJob>> map = new LinkedHashMap<>();
        jobs.forEach(job ->
                map.computeIfAbsent(job.battery(), code -> new ArrayList<>()).add(job));
        return map;
    }

    private void known(PlanJob job) {
        if (!job.end().isAfter(job.start())) {
            add(HardRule.KNOWN, job, "ends " + job.end() + ", not after it begins " + job.start());
        } else if (lookup.battery(job.battery()) == null) {
            add(HardRule.KNOWN, job, "battery " + job.battery() + " is none of the room");
        } else if (!hasBegun(job) && isOutside(job)) {
            add(HardRule.KNOWN, job, "begins " + job.start() + ", outside what is planned");
        } else if (job.what().wantsCharger() && lookup.charger(job.charger()) == null) {
            add(HardRule.KNOWN, job, "charger " + job.charger() + " is none of the room");
        } else if (isForShift(job) && lookup.shift(job.machine(), job.shift()) == null) {
            add(HardRule.KNOWN, job, "machine " + job.machine() + " has no shift " + job.shift());
        } else if (!hasBegun(job) && job.wantsPerson() && lookup.worker(job.person()) == null) {
            add(HardRule.KNOWN, job, "person " + job.person() + " is none of the room");
        }
    }

    /** What follows from a charge may begin when the plan has ended. */
    private boolean isOutside(PlanJob job) {
        boolean follows = job.what() == Task.COOL || job.what() == Task.EQUALISE || job.isOnBench();
        return job.start().isBefore(problem.from()) || (!follows && !job.start().isBefore(problem.until()));
    }

    private static boolean isForShift(PlanJob job) {
        return job.what() == Task.USE || job.what() == Task.CHANGE;
    }

    private void ids() {
        Set<String> seen = new HashSet<>();
        jobs.stream()
                .filter(job -> !seen.add(job.id()))
                .forEach(job -> add(HardRule.KNOWN, job, "id " + job.id() + " is there twice"));
    }

    private void pinned() {
        for (PlanJob wanted : problem.pinned()) {
            boolean kept = jobs.stream()
                    .anyMatch(job -> job.pinned()
                            && job.what() == wanted.what()
                            && job.battery().equals(wanted.battery())
                            && Objects.equals(job.charger(), wanted.charger())
                            && Objects.equals(job.machine(), wanted.machine())
                            && job.span().equals(wanted.span()));
            if (!kept) {
                add(HardRule.PINNED, wanted, "is pinned and not in the plan as it was");
            }
        }
    }

    private void exclusive(String what, Function<PlanJob, @Nullable String> key) {
        Map<String, List<PlanJob>> busy = new LinkedHashMap<>();
        for (PlanJob job : jobs) {
            String code = key.apply(job);
            if (code != null) {
                busy.computeIfAbsent(code, any -> new ArrayList<>()).add(job);
            }
        }
        busy.forEach((code, own) -> {
            own.sort(Comparator.comparing(PlanJob::start).thenComparing(PlanJob::end));
            PlanJob longest = own.get(0);
            for (PlanJob job : own.subList(1, own.size())) {
                if (job.start().isBefore(longest.end()) && !(hasBegun(job) && hasBegun(longest))) {
                    add(
                            HardRule.ONE_AT_A_TIME,
                            job,
                            what + " " + code + " is at " + longest.id() + " until " + longest.end());
                }
                longest = job.end().isAfter(longest.end()) ? job : longest;
            }
        });
    }

    /** Each shift that begins within the plan is worked once or told as unmet. */
    private void shifts() {
        Set<String> worked = new HashSet<>();
        for (PlanJob job : jobs) {
            if (job.what() == Task.USE) {
                Shift shift = Objects.requireNonNull(lookup.shift(job.machine(), job.shift()));
                if (!job.span().equals(shift.span())) {
                    add(HardRule.COVERS_SHIFT, job, "does not cover its shift " + shift.span());
                }
                if (!worked.add(job.machine() + " " + job.shift())) {
                    add(HardRule.COVERS_SHIFT, job, "is the second battery of its shift");
                }
            }
        }
        plan.unmet().stream().filter(Plan.Unmet::isShift).forEach(un -> worked.add(un.machine() + " " + un.shift()));
        for (PlanMachine machine : problem.machines()) {
            for (Shift shift : machine.shifts()) {
                boolean within =
                        !shift.start().isBefore(problem.from()) && shift.start().isBefore(problem.until());
                if (within && !worked.contains(machine.code() + " " + shift.id())) {
                    breaches.add(new Breach(
                            HardRule.COVERS_SHIFT,
                            machine.code() + " " + shift.id(),
                            "has neither a battery nor a reason"));
                }
            }
        }
    }

    private void byOneWhoMay(PlanJob job) {
        if (!job.wantsPerson()) {
            return;
        }
        Worker worker = Objects.requireNonNull(lookup.worker(job.person()));
        if (!worker.may().contains(job.what())) {
            add(
                    HardRule.BY_ONE_WHO_MAY,
                    job,
                    worker.code() + " may not " + job.what().word());
        }
        if (!worker.isThere(job.span())) {
            add(HardRule.BY_ONE_WHO_MAY, job, worker.code() + " is not there all the while");
        }
        long minutes = job.span().length().toMinutes();
        if (job.what() == Task.CHANGE && minutes != problem.rules().changeMinutes()) {
            add(
                    HardRule.BY_ONE_WHO_MAY,
                    job,
                    "takes " + minutes + " minutes, a change takes "
                            + problem.rules().changeMinutes());
        }
    }
}
