package org.ostendum.core.judge.question.low;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.statistics.Robust;

/** By how much the battery's median stands higher after equalising than at the ordinary rounds beside it, tenths. */
final class LiftByEqualising {
    /** So many of the distances within which rounds are compared are looked back, ten months for frequent ones. */
    private static final int LOOKED_BACK = 7;

    /** An equalised round is compared with ordinary ones so near in time, or nearer than rounds usually lie apart. */
    private static final Duration BESIDE = Duration.ofDays(45);

    private static final Duration BESIDE_MOST = Duration.ofDays(120);
    private static final double GAPS = 1.6;

    /** Tenths; the medians of two rounds never agree better. */
    private static final double LEAST_SCATTER = 25;
    /** So many times the limit is a rise that needs no second sign. */
    private static final double CLEARLY = 2;

    /** So many times the limit ordinary rounds have come down where that is the second sign. */
    private static final double CAME_DOWN = 1.5;

    private static final double MEDIAN_ERROR = 1.25;
    private static final double SURE = 3;

    private final FullCourse ordinary;
    private final Duration beside;
    private final double[] rises;

    LiftByEqualising(Case battery, FullCourse ordinary, FullCourse equalised) {
        this.ordinary = ordinary;
        this.beside = beside(battery.full());
        this.rises = rises(equalised, battery.now().minus(beside.multipliedBy(LOOKED_BACK)));
    }

    private static Duration beside(List<DatedGravities> full) {
        if (full.size() < 2) {
            return BESIDE;
        }
        double[] gaps = IntStream.range(1, full.size())
                .mapToDouble(i -> Duration.between(
                                full.get(i - 1).takenAt(), full.get(i).takenAt())
                        .toHours())
                .toArray();
        Duration usual = Duration.ofHours(Math.round(GAPS * Robust.median(gaps)));
        return usual.compareTo(BESIDE) < 0 ? BESIDE : usual.compareTo(BESIDE_MOST) > 0 ? BESIDE_MOST : usual;
    }

    private double[] rises(FullCourse equalised, Instant from) {
        return equalised.rounds().stream()
                .filter(dated -> dated.takenAt().isAfter(from))
                .map(this::rise)
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .toArray();
    }

    private OptionalDouble rise(DatedGravities equalised) {
        double[] near = ordinary.rounds().stream()
                .filter(dated -> isBeside(dated, equalised))
                .mapToDouble(dated -> dated.gravities().median().tenths())
                .toArray();
        return near.length == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(equalised.gravities().median().tenths() - Robust.median(near));
    }

    /** @return whether two rounds lie so near each other that nothing but the charge before them sets them apart */
    boolean isBeside(DatedGravities one, DatedGravities other) {
        return Duration.between(one.takenAt(), other.takenAt()).abs().compareTo(beside) <= 0;
    }

    /** @return the middle of all rises of late; empty with fewer than three */
    OptionalDouble usual() {
        return rises.length < FullCourse.LEAST_ROUNDS
                ? OptionalDouble.empty()
                : OptionalDouble.of(Robust.median(rises));
    }

    /**
     * Whether the rise is large and surely no chance. A rise that is not very large counts only where ordinary rounds
     * have come down too: the water in the cells moves medians as well.
     *
     * @param limit tenths
     */
    boolean isSure(double limit) {
        if (rises.length < FullCourse.LEAST_ROUNDS) {
            return false;
        }
        double rise = Robust.median(rises);
        double error = MEDIAN_ERROR * Math.max(LEAST_SCATTER, Robust.deviation(rises)) / Math.sqrt(rises.length);
        boolean cameDown = ordinary.fallen() >= CAME_DOWN * limit;
        return rise >= SURE * error && rise >= (cameDown ? limit : CLEARLY * limit);
    }
}
