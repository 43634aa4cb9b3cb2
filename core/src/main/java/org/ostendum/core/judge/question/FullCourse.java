package org.ostendum.core.judge.question;

import java.time.Duration;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.statistics.FallShape;
import org.ostendum.core.statistics.Robust;

/** How the battery's median went over its rounds on a full charge of one kind, oldest first, tenths. */
final class FullCourse {
    /** Rounds at the beginning and at the end for a comparison; medians scatter with the water in the cells. */
    static final int LEAST_ROUNDS = 3;

    /** So many times further the readings lie from a bend than from a step, or the same the other way about. */
    private static final double STEP_FAVOURED = 1.1;

    private static final double SLOPE_FAVOURED = 0.8;
    private static final double SLOPE_SURE = 0.4;
    /** Days a slope has to go on before it can be told from a step that came in two rounds. */
    private static final double SLOPE_LASTS = 200;
    /** Days a step or a bend has to be back before it can be told which of both it is. */
    private static final double STANDS = 100;

    private static final double HOURS = 24;

    private final List<DatedGravities> rounds;
    private final double[] medians;
    /** Fitted only where it is asked for: most batteries are judged without. */
    private @Nullable FallShape shape;

    private FullCourse(List<DatedGravities> rounds) {
        this.rounds = rounds;
        this.medians = rounds.stream()
                .mapToDouble(dated -> dated.gravities().median().tenths())
                .toArray();
    }

    /** @param state after which the rounds were taken */
    static FullCourse of(Case battery, RoundState state) {
        return new FullCourse(
                battery.full().stream().filter(dated -> dated.state() == state).toList());
    }

    List<DatedGravities> rounds() {
        return rounds;
    }

    private FallShape shape() {
        FallShape known = shape;
        if (known == null) {
            known = FallShape.of(
                    IntStream.range(0, rounds.size()).mapToDouble(this::day).toArray(), medians);
            shape = known;
        }
        return known;
    }

    private double day(int index) {
        return Duration.between(rounds.get(0).takenAt(), rounds.get(index).takenAt())
                        .toHours()
                / HOURS;
    }

    /** @return whether there are enough to tell how far they have come down */
    boolean isLong() {
        return rounds.size() >= 2 * LEAST_ROUNDS;
    }

    /** @return tenths by which they now read below the first ones */
    double fallen() {
        int n = rounds.size();
        return !isLong() ? 0 : middle(0, n / 3) - middle(n - LEAST_ROUNDS, n);
    }

    private double middle(int from, int to) {
        return Robust.median(Arrays.copyOfRange(medians, from, to));
    }

    /**
     * @param least tenths
     * @return whether they came down by so much in one step, long enough ago, and have stayed there
     */
    boolean cameDownAtOnce(double least) {
        // No step is higher than the readings lie apart.
        return range() >= least
                && shape().favour() >= STEP_FAVOURED
                && shape().drop() >= least
                && day(rounds.size() - 1) - shape().stepped() >= STANDS;
    }

    private double range() {
        DoubleSummaryStatistics all = Arrays.stream(medians).summaryStatistics();
        return all.getMax() - all.getMin();
    }

    /** @return tenths of the step that fits best */
    double step() {
        return shape().drop();
    }

    /** @return whether they come down bit by bit rather than at once */
    boolean fallsOn() {
        return shape().favour() <= SLOPE_FAVOURED && day(rounds.size() - 1) - shape().bent() >= STANDS;
    }

    /** @return whether it has so surely and for so long that nothing else need be known */
    boolean surelyFallsOn() {
        return shape().favour() <= SLOPE_SURE && day(rounds.size() - 1) - shape().bent() >= SLOPE_LASTS;
    }
}
