package org.ostendum.core.quantity;

/**
 * A volume of liquid.
 *
 * @param litres l, 0 to 100000 both included
 */
public record Litres(double litres) implements Comparable<Litres> {
    public static final double LEAST = 0;
    public static final double MOST = 100000;

    /** @throws OutOfRange outside 0 to 100000 l */
    public Litres {
        OutOfRange.check("volume", litres, LEAST, MOST);
    }

    @Override
    public int compareTo(Litres other) {
        return Double.compare(litres, other.litres);
    }
}
