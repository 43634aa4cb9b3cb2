package org.ostendum.core.plan.make;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.PlanProblem.Machine;
import org.ostendum.core.plan.PlanProblem.Shift;

/**
 * What is decided of a plan: which battery works which shift, and where and from when each charge runs. What is not decided is chosen
 * by the rule of thumb.
 *
 * @param batteries by {@link #shift}
 * @param charges by {@link #shift} of the use before, or by {@link #first}
 */
public record Decisions(Map<String, String> batteries, Map<String, Charge> charges) {
    /** Nothing is decided: plug in where a charger is free, the longest rested goes to work first. */
    public static final Decisions NONE = new Decisions(Map.of(), Map.of());

    public Decisions {
        batteries = Map.copyOf(batteries);
        charges = Map.copyOf(charges);
    }

    /** Where a charge runs and before when it does not begin. */
    public record Charge(String charger, Instant notBefore) {}

    public static String shift(Machine machine, Shift shift) {
        return shift(machine.code(), shift.id());
    }

    public static String shift(String machine, String shift) {
        return machine + "\n" + shift;
    }

    /** Names the charge of a battery that lacks something at the beginning. */
    public static String first(String battery) {
        return "\n" + battery;
    }

    @Nullable
    String batteryOf(String shift) {
        return batteries.get(shift);
    }

    Optional<Charge> charge(String key) {
        return Optional.ofNullable(charges.get(key));
    }
}
