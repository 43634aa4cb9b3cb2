package org.ostendum.core.quantity;

/**
 * A current.
 *
 * @param amperes A, 0 to 5000 both included
 */
public record Amperes(double amperes) implements Comparable<Amperes> {
    public static final double LEAST = 0;
    public static final double MOST = 5000;

    /** @throws OutOfRange outside 0 to 5000 A */
    public Amperes {
        OutOfRange.check("current", amperes, LEAST, MOST);
    }

    @Override
    public int compareTo(Amperes other) {
        return Double.compare(amperes, other.amperes);
    }
}
