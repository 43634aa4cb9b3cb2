package org.ostendum.core.quantity;

import java.math.BigDecimal;

/**
 * Specific gravity of electrolyte as read on the hydrometer, not corrected for temperature.
 *
 * @param points thousandths: 1265 stands for 1.265; 1000 to 1400, both included (pure water to acid stronger than any
 *     battery holds)
 */
public record SpecificGravity(int points) implements Comparable<SpecificGravity> {
    /** The lightest liquid a cell can hold: water. */
    public static final int LEAST_POINTS = 1000;
    /** Above every battery electrolyte; acid is delivered at 1.400 for adjusting. */
    public static final int MOST_POINTS = 1400;

    /** @throws OutOfRange outside 1.000 to 1.400 */
    public SpecificGravity {
        OutOfRange.check("gravity", points / 1000.0, LEAST_POINTS / 1000.0, MOST_POINTS / 1000.0);
    }

    public static SpecificGravity ofPoints(int points) {
        return new SpecificGravity(points);
    }

    /** @return whether {@link #ofPoints(int)} would take this number of thousandths */
    public static boolean isPossible(int points) {
        return points >= LEAST_POINTS && points <= MOST_POINTS;
    }

    /** "1.265": read in every form of typing. */
    public String decimal() {
        return BigDecimal.valueOf(points, 3).toPlainString();
    }

    @Override
    public int compareTo(SpecificGravity other) {
        return Integer.compare(points, other.points);
    }
}
