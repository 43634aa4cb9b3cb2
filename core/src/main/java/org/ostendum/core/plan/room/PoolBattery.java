package org.ostendum.core.plan.room;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A battery.
 *
 * @param missingAh to be put back now, 0 for full
 * @param coolUntil when it may work again; null for now
 * @param held whether it may not work
 * @param leastSoc part of its charge that stays in it, 0 to 1
 * @param cycles so far
 * @param place where it stands
 */
public record PoolBattery(
        String code,
        int volts,
        String connector,
        double weightKg,
        double capacityAh,
        double missingAh,
        @Nullable Instant coolUntil,
        boolean held,
        double leastSoc,
        int cycles,
        String place,
        List<Due> due) {
    public PoolBattery {
        due = List.copyOf(due);
    }

    /** @return the same with nothing that falls due */
    public PoolBattery withoutCare() {
        return new PoolBattery(
                code,
                volts,
                connector,
                weightKg,
                capacityAh,
                missingAh,
                coolUntil,
                held,
                leastSoc,
                cycles,
                place,
                List.of());
    }

    /** @return Ah that may be taken out of it, full */
    public double usableAh() {
        return capacityAh * (1 - leastSoc);
    }

    /** @return whether it goes into that machine by plate, plug and size; a fixed machine takes its own alone */
    public boolean fits(PlanMachine machine) {
        if (machine.fixed()) {
            return code.equals(machine.battery());
        }
        return volts == machine.volts()
                && connector.equalsIgnoreCase(machine.connector())
                && weightKg >= machine.weightFromKg()
                && weightKg <= machine.weightToKg()
                && !machine.refuses().contains(code);
    }
}
