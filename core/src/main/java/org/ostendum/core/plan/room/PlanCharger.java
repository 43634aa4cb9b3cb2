package org.ostendum.core.plan.room;

import java.util.List;

/**
 * A charger.
 *
 * @param kw it draws while it charges
 * @param litresPerHour of hydrogen while it finishes
 * @param air name of the air it gasses into, one of {@link RoomLimits#airs}; empty where there is only one
 * @param away when it cannot be used
 */
public record PlanCharger(
        String code,
        int volts,
        String connector,
        String place,
        double kw,
        double litresPerHour,
        String air,
        List<Span> away) {
    public PlanCharger {
        away = List.copyOf(away);
    }

    /** One in a place with one air. */
    public PlanCharger(
            String code, int volts, String connector, String place, double kw, double litresPerHour, List<Span> away) {
        this(code, volts, connector, place, kw, litresPerHour, "", away);
    }

    /** @return the same, which cannot be used at other times */
    public PlanCharger away(List<Span> times) {
        return new PlanCharger(code, volts, connector, place, kw, litresPerHour, air, times);
    }
}
