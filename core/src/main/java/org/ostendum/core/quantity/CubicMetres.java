package org.ostendum.core.quantity;

/**
 * A volume of air, or an air flow for each hour.
 *
 * @param cubicMetres m³, 0 to 1000000 both included
 */
public record CubicMetres(double cubicMetres) implements Comparable<CubicMetres> {
    public static final double LEAST = 0;
    public static final double MOST = 1000000;

    /** @throws OutOfRange outside 0 to 1000000 m³ */
    public CubicMetres {
        OutOfRange.check("air", cubicMetres, LEAST, MOST);
    }

    @Override
    public int compareTo(CubicMetres other) {
        return Double.compare(cubicMetres, other.cubicMetres);
    }
}
