package org.ostendum.core.judge.question.low;

import java.time.Duration;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.statistics.StepOrBend;

/**
 * How the battery's median came down over all its rounds on a full charge: at once, or bit by bit. Rounds after equalising stand
 * higher than ordinary ones where the acid lies in layers, but what falls bit by bit falls in both alike. Tenths.
 */
final class Decline {
    /** So many times further the readings lie from a bend than from a step, or the same the other way about. */
    private static final double STEP_FAVOURED = 1.2;

    /** The same where rounds lie months apart: of a slope there would be more of them on the way. */
    private static final double STEP_FAVOURED_SPARSE = 0.9;

    private static final double SLOPE_FAVOURED = 0.8;
    private static final double SLOPE_SURE = 0.4;
    /** Days a slope has to go on before it can be told from a step that came in two rounds. */
    private static final double SLOPE_LASTS = 200;
    /** Days a step or a bend has to be back before it can be told which of both it is. */
    private static final double STANDS = 100;

    /** Rounds before a step. */
    private static final int BEFORE = 5;

    /** The same where rounds lie months apart: a fifth would be another quarter of waiting. */
    private static final int BEFORE_SPARSE = 4;

    private static final double HOURS = 24;

    private final List<DatedGravities> rounds;
    private final double[] medians;
    private final boolean isReadSeldom;
    /** Only where it is asked for: most batteries are judged without. */
    private @Nullable StepOrBend shape;

    Decline(Case battery) {
        this.rounds = battery.full();
        this.isReadSeldom = battery.isReadSeldom();
        this.medians = rounds.stream()
                .mapToDouble(dated -> dated.gravities().median().tenths())
                .toArray();
    }

    private StepOrBend shape() {
        StepOrBend known = shape;
        if (known == null) {
            double[] days =
                    IntStream.range(0, rounds.size()).mapToDouble(this::day).toArray();
            int[] kinds = rounds.stream()
                    .mapToInt(dated -> dated.state() == RoundState.FULL_CHARGE ? 0 : 1)
                    .toArray();
            known = StepOrBend.of(days, medians, kinds, isReadSeldom ? BEFORE_SPARSE : BEFORE);
            shape = known;
        }
        return known;
    }

    private double day(int index) {
        return Duration.between(rounds.get(0).takenAt(), rounds.get(index).takenAt())
                        .toHours()
                / HOURS;
    }

    /**
     * @param least tenths
     * @return whether ordinary rounds came down by so much in one step, long enough ago, and have stayed there
     */
    boolean cameAtOnce(double least) {
        // No step is higher than the readings lie apart.
        return range() >= least
                && shape().favour() >= (isReadSeldom ? STEP_FAVOURED_SPARSE : STEP_FAVOURED)
                && shape().drop() >= least
                && since(shape().stepped()) >= STANDS;
    }

    private double range() {
        DoubleSummaryStatistics all = Arrays.stream(medians).summaryStatistics();
        return all.getMax() - all.getMin();
    }

    private double since(double day) {
        return day(rounds.size() - 1) - day;
    }

    /** @return tenths of the step that fits best */
    double step() {
        return shape().drop();
    }

    /** @return whether it goes on bit by bit rather than having come at once */
    boolean goesOn() {
        return shape().favour() <= SLOPE_FAVOURED && since(shape().bent()) >= STANDS;
    }

    /** @return whether it does so surely and for so long that nothing else need be known */
    boolean surelyGoesOn() {
        return shape().favour() <= SLOPE_SURE && since(shape().bent()) >= SLOPE_LASTS;
    }
}
