package org.ostendum.core.quantity;

/**
 * How full a cell or battery is.
 *
 * @param percent 0 (the model's empty mark) to 100 (its full mark), both included; readings beyond the marks are held
 *     at them
 */
public record StateOfCharge(int percent) implements Comparable<StateOfCharge> {

    /** @throws OutOfRange outside 0 to 100 % */
    public StateOfCharge {
        OutOfRange.check("state of charge", percent, 0, 100);
    }

    /** @param fraction of full; below 0 counts as 0, above 1 as 1 */
    public static StateOfCharge ofFraction(double fraction) {
        return new StateOfCharge((int) Math.round(100 * Math.max(0, Math.min(1, fraction))));
    }

    @Override
    public int compareTo(StateOfCharge other) {
        return Integer.compare(percent, other.percent);
    }
}
