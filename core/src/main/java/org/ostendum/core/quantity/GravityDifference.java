package org.ostendum.core.quantity;

/**
 * A distance between two gravities.
 *
 * @param tenths ten-thousandths of specific gravity: 300 stands for 0.030, that is 30 points
 */
public record GravityDifference(int tenths) implements Comparable<GravityDifference> {

    public static GravityDifference ofPoints(int points) {
        return new GravityDifference(points * 10);
    }

    public GravityDifference negated() {
        return new GravityDifference(-tenths);
    }

    /** @return whole points, rounded half away from zero */
    public int points() {
        return tenths < 0 ? -((5 - tenths) / 10) : (tenths + 5) / 10;
    }

    @Override
    public int compareTo(GravityDifference other) {
        return Integer.compare(tenths, other.tenths);
    }
}
