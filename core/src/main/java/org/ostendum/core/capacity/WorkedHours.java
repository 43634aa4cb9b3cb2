package org.ostendum.core.capacity;

import org.ostendum.core.quantity.OutOfRange;

/**
 * How long a machine ran on a full battery before it was slow. Rule of the trade: six hours of an eight hour shift; less is the first
 * sign of a battery that goes.
 *
 * @param hours it ran, 0 to 24
 */
public record WorkedHours(double hours) {
    public static final double ENOUGH = 6;

    public WorkedHours {
        OutOfRange.check("hours", hours, 0, 24);
    }

    public double part() {
        return hours / ENOUGH;
    }

    public boolean isEnough() {
        return hours >= ENOUGH;
    }
}
