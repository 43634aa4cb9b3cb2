package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.ostendum.core.statistics.Robust;
import org.ostendum.core.statistics.SenLine;

class StatisticsTest {
    @Test
    void medianOfOddAndEvenNumbers() {
        assertThat(Robust.median(new double[] {3, 1, 2})).isEqualTo(2);
        assertThat(Robust.median(new double[] {4, 1, 2, 3})).isEqualTo(2.5);
        assertThatThrownBy(() -> Robust.median(new double[0])).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void oneWildValueLeavesTheDeviation() {
        assertThat(Robust.deviation(new double[] {1, 2, 3, 4, 1000})).isEqualTo(1.4826, within(1e-9));
    }

    /** Sen (1968): the slope is the median of pairwise slopes, so one bad point in seven leaves it. */
    @Test
    void oneBadPointLeavesTheLine() {
        double[] x = {0, 1, 2, 3, 4, 5, 6};
        double[] y = {0, -2, -4, 60, -8, -10, -12};
        SenLine line = SenLine.through(x, y);
        assertThat(line.slope()).isEqualTo(-2, within(1e-9));
        assertThat(line.at(10)).isEqualTo(-20, within(0.5));
    }

    @Test
    void aStraightFallIsSureAndItsIntervalIsNarrow() {
        double[] x = new double[10];
        double[] y = new double[10];
        for (int i = 0; i < 10; i++) {
            x[i] = i;
            y[i] = -3 * i;
        }
        SenLine line = SenLine.through(x, y);
        // S = -45, σ = √(10·9·25 ÷ 18) = 11.18
        assertThat(line.trend()).isEqualTo(-45 / Math.sqrt(125), within(1e-9));
        assertThat(line.slopeLow()).isEqualTo(-3);
        assertThat(line.slopeHigh()).isEqualTo(-3);
    }

    /** The 90 % interval holds the true slope in about nine of ten noisy lines. */
    @Test
    void theIntervalHoldsTheTrueSlopeAsOftenAsItSays() {
        Random random = new Random(42);
        int held = 0;
        for (int run = 0; run < 500; run++) {
            double[] x = new double[12];
            double[] y = new double[12];
            for (int i = 0; i < 12; i++) {
                x[i] = 14 * i;
                y[i] = -0.2 * x[i] + random.nextGaussian() * 16;
            }
            SenLine line = SenLine.through(x, y);
            held += line.slopeLow() <= -0.2 && -0.2 <= line.slopeHigh() ? 1 : 0;
        }
        assertThat(held / 500.0).isBetween(0.85, 0.96);
    }

    @Test
    void threePointsAreNoLine() {
        assertThatThrownBy(() -> SenLine.through(new double[] {1, 2, 3}, new double[] {1, 2, 3}))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
