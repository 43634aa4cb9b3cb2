package org.ostendum.core.water;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.rulebook.Rules;

class WaterQualityTest {
    private static final Instant NOW = Instant.parse("2026-05-04T08:00:00Z");

    @ParameterizedTest
    @CsvSource({
        "25, 4, 250, 365, TAP",
        "25.1, 4, 250, 1, CHLORIDE",
        "25, 4.1, 250, 1, IRON",
        "25, 4, 251, 1, RESIDUE",
        "5, 1, 50, 366, OLD"
    })
    void tapWaterOnlyWhereItWasAnalysedLatelyAndIsWithinTheLimits(
            double chloride, double iron, double residue, int days, WaterQuality.Reason reason) {
        WaterQuality.Analysis analysis =
                new WaterQuality.Analysis(NOW.minus(Duration.ofDays(days)), chloride, iron, residue);
        WaterQuality quality = WaterQuality.of(analysis, NOW, Rules.standard());
        assertThat(quality.reason()).isEqualTo(reason);
        assertThat(quality.isTap()).isEqualTo(reason == WaterQuality.Reason.TAP);
    }

    @Test
    void withoutAnAnalysisOnlyPurifiedWater() {
        assertThat(WaterQuality.of(null, NOW, Rules.standard()).isTap()).isFalse();
    }

    private static CellReading level(int cell, @Nullable Level level) {
        return new CellReading(cell, null, false, false, null, null, false, level, null);
    }

    @Test
    void cellsWhoseLevelsWereReadSayWhatTheyWant() {
        Round round = new Round(
                NOW,
                RoundState.FULL_CHARGE,
                null,
                List.of(level(1, Level.RIGHT), level(2, Level.LOW), level(3, Level.EXPOSED), level(4, null)));
        assertThat(CellWater.toMark(round, 600)).isEqualTo(Map.of(2, 270, 3, 360));
    }
}
