package org.ostendum.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class RobustTest {
    @Property
    void theMedianIsTheMiddleOfTheSortedValues(
            @ForAll @Size(min = 1, max = 60) @IntRange(min = -40, max = 40) int[] whole) {
        double[] values = Arrays.stream(whole).asDoubleStream().toArray();
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        double middle = (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;

        double[] given = values.clone();
        assertThat(Robust.median(given)).isEqualTo(middle);
        assertThat(given).as("what was given is left as it was").isEqualTo(values);
    }

    @Test
    void oneBadReadingDoesNotMoveTheDeviation() {
        assertThat(Robust.deviation(new double[] {10, 11, 12, 13, 900}))
                .isEqualTo(Robust.deviation(new double[] {10, 11, 12, 13, 14}));
    }

    @Property
    void wholeNumbersScatterAsAnyOthers(
            @ForAll @Size(min = 1, max = 60) @IntRange(min = -1200, max = 1200) int[] whole) {
        assertThat(Robust.deviation(whole))
                .isEqualTo(
                        Robust.deviation(Arrays.stream(whole).asDoubleStream().toArray()));
    }

    @Test
    void nothingHasNoMedian() {
        assertThatThrownBy(() -> Robust.median(new double[0])).hasMessageContaining("nothing");
        assertThatThrownBy(() -> Robust.deviation(new int[0])).hasMessageContaining("nothing");
    }
}
