package org.ostendum.core.quantity;

/**
 * A small volume of water or electrolyte.
 *
 * @param millilitres ml, 0 to 100 000 both included
 */
public record Millilitres(int millilitres) implements Comparable<Millilitres> {
    public static final int MOST = 100_000;

    /** @throws OutOfRange outside 0 to 100 000 ml */
    public Millilitres {
        OutOfRange.check("volume", millilitres, 0, MOST);
    }

    /** @param millilitres ml, rounded to whole ones */
    public static Millilitres of(double millilitres) {
        OutOfRange.check("volume", millilitres, 0, MOST);
        return new Millilitres((int) Math.round(millilitres));
    }

    @Override
    public int compareTo(Millilitres other) {
        return Integer.compare(millilitres, other.millilitres);
    }
}
