package org.ostendum.core.storage;

import java.time.Duration;
import java.util.Optional;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.electrolyte.FreezingPoint;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.OutOfRange;

/**
 * What standing takes out of a battery. Rules of thumb: about a point of gravity a day in aircraft batteries, 3 to 8 % of the charge
 * a month in others at 25 °C (new to old); three times that under a dirty top; twice for each 10 K.
 */
public final class SelfDischarge {
    /** Points of gravity between full and empty, for turning a part of the charge into points. */
    private static final double POINTS_FULL_TO_EMPTY = 140;

    private static final double AIRCRAFT_POINTS_A_DAY = 1;
    private static final double NEW_PART_A_MONTH = 0.03;
    private static final double OLD_PART_A_MONTH = 0.08;
    private static final double DAYS_A_MONTH = 30.4;
    private static final double DIRTY = 3;
    private static final double KELVINS_TO_DOUBLE = 10;

    private SelfDischarge() {}

    /**
     * How a battery stands.
     *
     * @param age 0 new to 1 at the end of its life
     * @param dirtyTop whether the probe finds a voltage on its lid
     * @param temperature of the place, -40 to 50 °C
     */
    public record Standing(Duty duty, double age, boolean dirtyTop, Celsius temperature) {
        public Standing {
            OutOfRange.check("age", age, 0, 1);
            OutOfRange.check("temperature", temperature.degrees(), -40, 50);
        }
    }

    /** @return points of gravity lost each day */
    public static double pointsPerDay(Standing standing) {
        double part = NEW_PART_A_MONTH + standing.age() * (OLD_PART_A_MONTH - NEW_PART_A_MONTH);
        double points =
                standing.duty() == Duty.AIRCRAFT ? AIRCRAFT_POINTS_A_DAY : part / DAYS_A_MONTH * POINTS_FULL_TO_EMPTY;
        double warmth = Math.pow(2, (standing.temperature().degrees() - 25) / KELVINS_TO_DOUBLE);
        return points * (standing.dirtyTop() ? DIRTY : 1) * warmth;
    }

    /** @return gravity after so long */
    public static CorrectedGravity after(CorrectedGravity now, Standing standing, Duration stood) {
        double lost = pointsPerDay(standing) * stood.toHours() / 24.0;
        return new CorrectedGravity((int) Math.max(10_000, Math.round(now.tenths() - lost * 10)));
    }

    /**
     * @param rechargeBelow gravity under which it goes on charge again
     * @param coldest temperature expected, at which it must not freeze
     * @return how long it may stand at most; empty when it cannot freeze or fall so low within two years
     */
    public static Optional<Duration> mayStand(
            CorrectedGravity now, CorrectedGravity rechargeBelow, Celsius coldest, Standing standing) {
        int days = 0;
        CorrectedGravity gravity = now;
        while (days < 730) {
            boolean frozen = FreezingPoint.of(gravity)
                    .map(freezing -> coldest.compareTo(freezing) <= 0)
                    .orElse(false);
            if (gravity.compareTo(rechargeBelow) < 0 || frozen) {
                return Optional.of(Duration.ofDays(Math.max(0, days - 1)));
            }
            days++;
            gravity = after(now, standing, Duration.ofDays(days));
        }
        return Optional.empty();
    }
}
