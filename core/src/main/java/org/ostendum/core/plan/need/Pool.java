package org.ostendum.core.plan.need;

import java.util.List;
import java.util.Locale;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;

/** Batteries that stand in for one another by voltage and plug, with the machines they work in. */
public record Pool(int volts, String connector) {
    /** @return those of the machines that are changed, the largest first */
    public static List<Pool> of(PlanProblem problem) {
        return problem.machines().stream()
                .filter(machine -> !machine.fixed())
                .map(machine -> new Pool(machine.volts(), machine.connector().toLowerCase(Locale.ROOT)))
                .distinct()
                .sorted((a, b) -> Integer.compare(
                        b.batteries(problem).size(), a.batteries(problem).size()))
                .toList();
    }

    boolean has(PlanMachine machine) {
        return !machine.fixed()
                && machine.volts() == volts
                && machine.connector().equalsIgnoreCase(connector);
    }

    /** @return its batteries, without those that never leave their machine */
    public List<PoolBattery> batteries(PlanProblem problem) {
        List<String> fixed = problem.machines().stream()
                .filter(PlanMachine::fixed)
                .map(PlanMachine::battery)
                .toList();
        return problem.batteries().stream()
                .filter(battery ->
                        battery.volts() == volts && battery.connector().equalsIgnoreCase(connector))
                .filter(battery -> !fixed.contains(battery.code()))
                .toList();
    }
}
