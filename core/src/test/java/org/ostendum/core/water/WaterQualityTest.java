package org.ostendum.core.water;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.measure.Level;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.CellWater;
import org.ostendum.core.state.Told;

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

    /** Of 300 Ah between mark and plates: 180 ml; a low cell wants its middle to the mark, a bare one all of it. */
    @Test
    void cellsWhoseLevelsAreKnownSayWhatTheyWant() {
        Told told = Told.nothing().looked(2, Level.RIGHT, Level.LOW, Level.EXPOSED);
        assertThat(CellWater.toMark(told.state())).isEqualTo(Map.of(2, 160, 3, 180));
    }
}
