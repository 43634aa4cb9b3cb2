package org.ostendum.core.plan.room;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A machine and what it needs.
 *
 * @param weightFromKg least a battery has to weigh, being the counterweight
 * @param battery code of the one now in it; null for none
 * @param fixed whether its battery is never changed and charges in place
 * @param refuses codes of batteries that do not sit in its bay by their size
 */
public record PlanMachine(
        String code,
        int volts,
        String connector,
        double weightFromKg,
        double weightToKg,
        @Nullable String battery,
        boolean fixed,
        Set<String> refuses,
        List<Shift> shifts) {
    public PlanMachine {
        refuses = Set.copyOf(refuses);
        shifts = List.copyOf(shifts);
    }

    /** One whose bay nobody has measured. */
    public PlanMachine(
            String code,
            int volts,
            String connector,
            double weightFromKg,
            double weightToKg,
            @Nullable String battery,
            boolean fixed,
            List<Shift> shifts) {
        this(code, volts, connector, weightFromKg, weightToKg, battery, fixed, Set.of(), shifts);
    }

    public PlanMachine with(List<Shift> others) {
        return holding(battery, others);
    }

    /** @param inIt code of the battery now in it; null for none */
    public PlanMachine holding(@Nullable String inIt, List<Shift> others) {
        return new PlanMachine(code, volts, connector, weightFromKg, weightToKg, inIt, fixed, refuses, others);
    }
}
