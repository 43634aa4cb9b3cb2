package org.ostendum.core.plan;

import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.plan.room.Lateness;

/**
 * How long a charge lasts, as a line over what is missing: so much for each Ah and so much to finish. It is laid through the ends that
 * one charge in twenty passes, so that a late charge does not break the morning.
 *
 * @param minutesPerAh 0 and up
 * @param finishMinutes above 0
 * @param spread standard deviation of the length's logarithm, 0 and up
 */
public record ChargeLength(double minutesPerAh, double finishMinutes, double spread) {
    private static final double SHALLOW = 0.25;
    private static final double DEEP = 0.75;
    private static final double LEAST_MINUTES = 15;

    /** @param capacity Ah of the battery */
    public static ChargeLength of(TimeToFull time, double capacity) {
        double shallow = minutes(time, SHALLOW * capacity);
        double deep = minutes(time, DEEP * capacity);
        double slope = Math.max(0, (deep - shallow) / ((DEEP - SHALLOW) * capacity));
        double finish = shallow - slope * SHALLOW * capacity;
        double spread = spread(time.estimate(0.5 * (SHALLOW + DEEP) * capacity));
        return finish < LEAST_MINUTES
                ? new ChargeLength(Math.max(0, (deep - LEAST_MINUTES) / (DEEP * capacity)), LEAST_MINUTES, spread)
                : new ChargeLength(slope, finish, spread);
    }

    private static double spread(TimeToFull.Estimate half) {
        double likely = half.likely().toSeconds();
        return likely <= 0 ? 0 : Math.log(half.late().toSeconds() / likely) / Lateness.PLANNED_AT;
    }

    private static double minutes(TimeToFull time, double missing) {
        return time.estimate(missing).late().toSeconds() / 60.0;
    }
}
