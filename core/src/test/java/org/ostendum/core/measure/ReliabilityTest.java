package org.ostendum.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.Rules;

class ReliabilityTest {
    private static final Instant T = Instant.parse("2026-03-02T06:00:00Z");

    private static Instant hour(int hour) {
        return T.plus(Duration.ofHours(hour));
    }

    private static Round round(double celsius) {
        return new Round(hour(20), RoundState.FULL_CHARGE, Celsius.of(celsius), List.of(CellReading.gravity(1, 1280)));
    }

    @ParameterizedTest
    @CsvSource({"25, ", "5, ", "4.9, TOO_COLD", "45, ", "45.1, TOO_HOT"})
    void aRoundTooColdOrTooHotIsDoubted(double celsius, Doubt doubt) {
        List<Doubt> doubts = Reliability.doubts(round(celsius), null, null, Rules.standard());
        assertThat(doubts).isEqualTo(doubt == null ? List.of() : List.of(doubt));
    }

    @ParameterizedTest
    @CsvSource({"NO, AFTER_WATER", "YES, ", "UNKNOWN, "})
    void waterIsDoubtedUntilAChargeHasMixedIt(Answer mixed, Doubt doubt) {
        assertThat(Reliability.doubts(round(25), mixed, hour(18), Rules.standard()))
                .isEqualTo(doubt == null ? List.of() : List.of(doubt));
    }

    @ParameterizedTest
    @CsvSource({"29, GASSING", "30, "})
    void bubblesNeedTheirTime(int minutes, Doubt doubt) {
        Instant ended = hour(20).minus(Duration.ofMinutes(minutes));
        assertThat(Reliability.doubts(round(25), null, ended, Rules.standard()))
                .isEqualTo(doubt == null ? List.of() : List.of(doubt));
    }
}
