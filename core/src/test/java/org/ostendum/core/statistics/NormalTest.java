package org.ostendum.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NormalTest {
    /** Values of the printed tables. */
    @ParameterizedTest
    @CsvSource({"0, 0.5", "1, 0.158655", "1.644854, 0.05", "2.3263, 0.01", "-1, 0.841345", "-3, 0.998650"})
    void theTablesValuesComeOut(double deviations, double above) {
        assertThat(Normal.above(deviations)).isCloseTo(above, within(2e-6));
    }
}
