package org.ostendum.core.quantity;

/**
 * A mass.
 *
 * @param kilograms kg, 0 to 100000 both included
 */
public record Kilograms(double kilograms) implements Comparable<Kilograms> {
    public static final double LEAST = 0;
    public static final double MOST = 100000;

    /** @throws OutOfRange outside 0 to 100000 kg */
    public Kilograms {
        OutOfRange.check("mass", kilograms, LEAST, MOST);
    }

    @Override
    public int compareTo(Kilograms other) {
        return Double.compare(kilograms, other.kilograms);
    }
}
