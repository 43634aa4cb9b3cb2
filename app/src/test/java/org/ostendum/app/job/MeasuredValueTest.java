package org.ostendum.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.support.TestWords;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.Task;

class MeasuredValueTest {
    private static final Task.Measure POINTS = new Task.Measure("points", 1100, 1320, null, null);
    private static final Task.Measure WARMTH = new Task.Measure("°C", -20, 80, null, null);

    @ParameterizedTest
    @CsvSource({"265, 1265", "1265, 1265", "1.265, 1265", "'1,265', 1265"})
    void aGravityIsReadInEveryFormThatPeopleHave(String typed, String kept) {
        assertThat(MeasuredValue.read(POINTS, typed, TestWords.metric()).value())
                .isEqualTo(kept);
    }

    @Test
    void aGravityThatCannotBeIsRefusedInTheWordsOfTheRound() {
        assertThat(MeasuredValue.read(POINTS, "999", TestWords.metric()).fault())
                .contains("1.000 to 1.400");
        assertThat(MeasuredValue.read(POINTS, "wet", TestWords.metric()).fault())
                .contains("not understood");
    }

    @Test
    void degreesAreThePersonsAndKeptInCelsius() {
        Words american = TestWords.of(false, true, true);
        assertThat(MeasuredValue.read(WARMTH, "104", american).value()).isEqualTo("40.0");
        assertThat(MeasuredValue.unit(WARMTH, american)).isEqualTo("°F");
        assertThat(MeasuredValue.read(WARMTH, "40", TestWords.metric()).value()).isEqualTo("40");
        assertThat(MeasuredValue.unit(WARMTH, TestWords.metric())).isEqualTo("°C");
    }
}
