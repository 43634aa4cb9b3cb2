package org.ostendum.core.commission;

import java.time.Duration;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/**
 * How a model's first charge runs and when it is over.
 *
 * @param cells of the battery
 * @param amps never to be exceeded
 * @param pause at this temperature the charger is switched off
 * @param resume below this it goes on
 * @param from lowest gravity of the window, included
 * @param to highest gravity of the window, included
 * @param steady so long the voltage must not have risen
 * @param readings so many rows in turn must lie in the window
 * @param leastAmpHours that must have gone in
 */
public record InitialChargePlan(
        int cells,
        double amps,
        Celsius pause,
        Celsius resume,
        CorrectedGravity from,
        CorrectedGravity to,
        Duration steady,
        int readings,
        double leastAmpHours) {
    /** Amperes per Ah of capacity, a tenth for the 18 to 24 h of aircraft batteries. Rule of thumb. */
    private static final double AIRCRAFT_RATE = 0.1;
    /** Amperes per Ah of capacity for large cells. Rule of thumb: the finish rate of 3 to 5 A per 100 Ah. */
    private static final double LARGE_RATE = 0.05;
    /** Ah in per Ah of capacity. Rule of thumb: dry-charged plates take somewhat more than they hold. */
    private static final double LEAST_RETURN = 1.2;

    /** The defaults of a model; its maker's sheet comes first. */
    public static InitialChargePlan of(BatteryModel model, Rules rules) {
        double rate = model.duty() == Duty.AIRCRAFT ? AIRCRAFT_RATE : LARGE_RATE;
        double capacity = model.capacity().ampHours();
        return new InitialChargePlan(
                model.cells(),
                Math.round(capacity * rate * 10) / 10.0,
                rules.celsius(RuleKey.INITIAL_PAUSE),
                rules.celsius(RuleKey.INITIAL_RESUME),
                model.marks().fullFrom(),
                model.marks().fullTo(),
                rules.duration(RuleKey.INITIAL_STEADY_HOURS),
                rules.count(RuleKey.INITIAL_STEADY_ROWS),
                Math.round(capacity * LEAST_RETURN));
    }

    /** @return from the hours in which the least goes in at its current to those in which the steady rows are read as well */
    public TimeToFull.Estimate lasts() {
        Duration least = Duration.ofMinutes(Math.round(leastAmpHours / amps * 60));
        Duration likely = least.plus(steady);
        return new TimeToFull.Estimate(likely, least, likely.plus(steady), false);
    }
}
