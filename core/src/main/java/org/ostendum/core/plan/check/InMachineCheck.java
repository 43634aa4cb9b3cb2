package org.ostendum.core.plan.check;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Task;

/** Whether each battery is in its machine when its shift begins, and may be in it. */
final class InMachineCheck {
    private final PlanProblem problem;
    private final PlanLookup lookup;
    private final List<PlanJob> jobs;
    private final List<Breach> breaches = new ArrayList<>();

    InMachineCheck(PlanProblem problem, PlanLookup lookup, List<PlanJob> jobs) {
        this.problem = problem;
        this.lookup = lookup;
        this.jobs = jobs;
    }

    List<Breach> breaches() {
        Map<String, String> holds = lookup.inMachines();
        Stream<PlanJob> moves =
                jobs.stream().filter(job -> job.what() == Task.CHANGE).sorted(Comparator.comparing(PlanJob::end));
        List<PlanJob> changes = moves.toList();
        int next = 0;
        for (PlanJob use : jobs.stream().filter(job -> job.what() == Task.USE).toList()) {
            while (next < changes.size() && !changes.get(next).end().isAfter(use.start())) {
                put(holds, changes.get(next++));
            }
            judge(use, holds);
        }
        return breaches;
    }

    private void put(Map<String, String> holds, PlanJob change) {
        PlanMachine machine = machineOf(change);
        if (machine.fixed()) {
            PlanChecker.add(breaches, HardRule.FITS, change, machine.code() + " is never changed");
        }
        // A battery that goes into one machine comes out of the one it was in.
        holds.values().remove(change.battery());
        holds.put(machine.code(), change.battery());
    }

    private void judge(PlanJob use, Map<String, String> holds) {
        if (PlanChecker.hasBegun(problem, use)) {
            return;
        }
        PlanMachine machine = machineOf(use);
        PoolBattery battery = Objects.requireNonNull(lookup.battery(use.battery()));
        if (!battery.fits(machine)) {
            PlanChecker.add(breaches, HardRule.FITS, use, battery.code() + " does not go into " + machine.code());
        }
        if (battery.held()) {
            PlanChecker.add(breaches, HardRule.NOT_HELD, use, battery.code() + " is held");
        }
        Instant cool = battery.coolUntil();
        if (cool != null && use.start().isBefore(cool)) {
            PlanChecker.add(breaches, HardRule.FULL_AND_COOL, use, battery.code() + " cools until " + cool);
        }
        double ah =
                Objects.requireNonNull(lookup.shift(use.machine(), use.shift())).ah();
        if (ah > battery.usableAh() + 1e-6) {
            PlanChecker.add(
                    breaches, HardRule.HOLDS_ENOUGH, use, "wants " + ah + " Ah, may give " + battery.usableAh());
        }
        if (!battery.code().equals(holds.get(machine.code()))) {
            PlanChecker.add(
                    breaches,
                    HardRule.IN_MACHINE,
                    use,
                    machine.code() + " has " + holds.get(machine.code()) + " in it");
        }
    }

    private PlanMachine machineOf(PlanJob job) {
        return Objects.requireNonNull(lookup.machine(job.machine()));
    }
}
