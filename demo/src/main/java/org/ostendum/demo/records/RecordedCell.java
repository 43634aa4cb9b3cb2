package org.ostendum.demo.records;

import java.util.Random;

/** One cell of a simulated battery: what its gravity would be on a full charge, and its water. */
final class RecordedCell {
    /** Typical lag behind the strongest cells between equalising charges. */
    private static final double DRIFT_POINTS_PER_DAY = 0.10;

    private final double ownOffset;
    private final double driftPerDay;
    private double drift;
    private double lost;

    RecordedCell(Random random) {
        this.ownOffset = random.nextGaussian() * 2.2;
        this.driftPerDay = -Math.abs(random.nextGaussian()) * DRIFT_POINTS_PER_DAY;
    }

    /** A day without an equalise lets the cell fall behind a little. */
    void ageDay(double failingPointsPerDay) {
        drift += driftPerDay;
        lost += failingPointsPerDay;
    }

    void equalise() {
        drift *= 0.1;
    }

    /** Points above or below the battery's full gravity. */
    double offset() {
        return ownOffset + drift - lost;
    }
}
