package org.ostendum.core.judge.question.low;

import java.util.Arrays;
import java.util.List;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.statistics.Robust;

/** How the battery's median went over its rounds on a full charge of one kind, oldest first, tenths. */
final class FullCourse {
    /** Rounds at the beginning and at the end for a comparison; medians scatter with the water in the cells. */
    static final int LEAST_ROUNDS = 3;

    private final List<DatedGravities> rounds;
    private final double fallen;

    private FullCourse(List<DatedGravities> rounds) {
        this.rounds = rounds;
        this.fallen = fallen(rounds.stream()
                .mapToDouble(dated -> dated.gravities().median().tenths())
                .toArray());
    }

    /** @param state after which the rounds were taken */
    static FullCourse of(Case battery, RoundState state) {
        return new FullCourse(
                battery.full().stream().filter(dated -> dated.state() == state).toList());
    }

    List<DatedGravities> rounds() {
        return rounds;
    }

    /** @return tenths by which they now read below the first ones; 0 for too few to tell */
    double fallen() {
        return fallen;
    }

    private static double fallen(double[] medians) {
        int n = medians.length;
        return n < 2 * LEAST_ROUNDS ? 0 : middle(medians, 0, n / 3) - middle(medians, n - LEAST_ROUNDS, n);
    }

    private static double middle(double[] medians, int from, int to) {
        return Robust.median(Arrays.copyOfRange(medians, from, to));
    }
}
