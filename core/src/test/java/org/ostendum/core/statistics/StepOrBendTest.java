package org.ostendum.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StepOrBendTest {
    /** Readings that are all of one kind. */
    private static StepOrBend ofOneKind(double[] times, double[] readings) {
        return StepOrBend.of(times, readings, new int[readings.length], 5);
    }

    private static final double[] DAYS =
            IntStream.range(0, 30).mapToDouble(i -> 100 + 14 * i).toArray();

    /** @param level by days since the first reading */
    private static double[] readings(DoubleUnaryOperator level, double scatter, long seed) {
        Random random = new Random(seed);
        return IntStream.range(0, DAYS.length)
                .mapToDouble(i -> level.applyAsDouble(DAYS[i] - DAYS[0]) + scatter * random.nextGaussian())
                .toArray();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void whatComesDownAtOnceAndStaysIsAStep(long seed) {
        StepOrBend shape = ofOneKind(DAYS, readings(day -> day < 200 ? 12_900 : 12_750, 20, seed));
        assertThat(shape.favour()).isGreaterThan(1.3);
        assertThat(shape.drop()).isCloseTo(150, within(25.0));
        assertThat(shape.stepped()).isEqualTo(196);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void whatComesDownBitByBitIsNone(long seed) {
        StepOrBend shape = ofOneKind(DAYS, readings(day -> 12_900 - Math.max(0, day - 150), 20, seed));
        assertThat(shape.favour()).isLessThan(0.6);
        assertThat(shape.bent()).isBetween(110.0, 190.0);
    }

    @Test
    void oneReadingFarOffIsNeither() {
        double[] readings = readings(day -> 12_900, 5, 7);
        readings[12] -= 400;
        StepOrBend shape = ofOneKind(DAYS, readings);
        assertThat(shape.drop()).isLessThan(20);
    }

    @Test
    void aRiseIsAFallBelowNothing() {
        assertThat(ofOneKind(DAYS, readings(day -> day < 200 ? 12_600 : 12_900, 10, 3))
                        .drop())
                .isNegative();
    }

    @Test
    void fewReadingsFavourNeither() {
        double[] days = {0, 10, 20, 30, 40};
        assertThat(ofOneKind(days, new double[] {300, 300, 100, 100, 100})).isEqualTo(new StepOrBend(0, 0, 0, 1));
    }

    @Test
    void eachReadingHasItsTime() {
        assertThatThrownBy(() -> ofOneKind(new double[3], new double[4]))
                .hasMessage("3 times for 4 readings of 4 kinds");
    }

    /** Every third reading is of a second kind, which lies higher. */
    private static int[] kinds() {
        return IntStream.range(0, DAYS.length).map(i -> i % 3 == 2 ? 1 : 0).toArray();
    }

    @Test
    void eachKindComesDownInAStepByItsOwn() {
        double[] readings = readings(day -> day < 200 ? 12_900 : 12_750, 5, 2);
        int[] kinds = kinds();
        Arrays.setAll(readings, i -> kinds[i] == 1 ? 12_950 : readings[i]);
        StepOrBend shape = StepOrBend.of(DAYS, readings, kinds, 5);
        assertThat(shape.favour()).isGreaterThan(2);
        assertThat(shape.drop()).isCloseTo(150, within(10.0));
        assertThat(ofOneKind(DAYS, readings).favour())
                .as("all of one kind they lie further from a step")
                .isLessThan(shape.favour() / 2);
    }

    @Test
    void whatAllKindsDoBitByBitIsSeenThroughTheLevelsOfEach() {
        double[] readings = readings(day -> 12_900 - 0.6 * Math.max(0, day - 150), 15, 4);
        int[] kinds = kinds();
        Arrays.setAll(readings, i -> readings[i] + 200 * kinds[i]);
        assertThat(StepOrBend.of(DAYS, readings, kinds, 5).favour()).isLessThan(0.7);
        assertThat(ofOneKind(DAYS, readings).favour()).isGreaterThan(0.8);
    }

    @Test
    void aStepThatTheFirstKindHasNoReadingsOfIsNoDropOfIt() {
        double[] readings = readings(day -> day < 200 ? 12_900 : 12_750, 5, 2);
        int[] kinds = IntStream.range(0, DAYS.length).map(i -> i < 14 ? 1 : 0).toArray();
        assertThat(StepOrBend.of(DAYS, readings, kinds, 5).drop()).isZero();
    }
}
