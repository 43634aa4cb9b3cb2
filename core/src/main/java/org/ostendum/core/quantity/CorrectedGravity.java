package org.ostendum.core.quantity;

/**
 * Specific gravity brought to the reference temperature of the site's school. Held in whole tenths of a point so that a
 * comparison with a limit such as 1.275 is exact.
 *
 * @param tenths ten-thousandths: 12643 stands for 1.2643
 */
public record CorrectedGravity(int tenths) implements Comparable<CorrectedGravity> {

    public static CorrectedGravity ofPoints(int points) {
        return new CorrectedGravity(points * 10);
    }

    /** @return the distance from {@code other} up to this one; negative when this one is lower */
    public GravityDifference minus(CorrectedGravity other) {
        return new GravityDifference(tenths - other.tenths);
    }

    public CorrectedGravity plus(GravityDifference difference) {
        return new CorrectedGravity(tenths + difference.tenths());
    }

    /** @return thousandths, rounded half up */
    public int points() {
        return Math.floorDiv(tenths + 5, 10);
    }

    @Override
    public int compareTo(CorrectedGravity other) {
        return Integer.compare(tenths, other.tenths);
    }
}
