package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.judge.Cases.NOW;
import static org.ostendum.core.judge.Cases.round;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.Rules;

class PastRoundTest {
    private static final Round ROUND = round(RoundState.FULL_CHARGE, 1280, 1281, 1279);

    @Test
    void whatIsHeldOfARoundIsPartOfIt() {
        PastRound past = new PastRound(ROUND, List.of(Doubt.TOO_COLD), Set.of(2));
        assertThat(past)
                .isEqualTo(new PastRound(ROUND, List.of(Doubt.TOO_COLD), Set.of(2)))
                .hasSameHashCodeAs(new PastRound(ROUND, List.of(Doubt.TOO_COLD), Set.of(2)))
                .isNotEqualTo(new PastRound(ROUND, List.of(), Set.of(2)))
                .isNotEqualTo(new PastRound(ROUND, List.of(Doubt.TOO_COLD)))
                .isNotEqualTo(new PastRound(round(RoundState.FULL_CHARGE, 1280), List.of(Doubt.TOO_COLD), Set.of(2)))
                .isNotEqualTo(ROUND);
    }

    /** Another correction than the one it was looked at with last is worked out anew. */
    @Test
    void gravitiesFollowTheCorrectionAskedFor() {
        PastRound past =
                new PastRound(new Round(NOW, RoundState.FULL_CHARGE, Celsius.of(40), ROUND.readings()), List.of());
        TemperatureCorrection usual = Rules.standard().temperatureCorrection();
        int corrected = past.gravities(usual).of(1).tenths();
        assertThat(past.gravities(new TemperatureCorrection(Celsius.of(40)))
                        .of(1)
                        .tenths())
                .isNotEqualTo(corrected);
        assertThat(past.gravities(usual).of(1).tenths()).isEqualTo(corrected);
    }

    @Test
    void readingsOfACellThatIsGoneAreLeftOut() {
        PastRound past = new PastRound(ROUND, List.of());
        assertThat(past.ofCellsSince(Map.of())).isSameAs(past);
        assertThat(past.ofCellsSince(Map.of(2, NOW))).isSameAs(past);
        assertThat(past.ofCellsSince(Map.of(2, NOW.plus(Duration.ofSeconds(1))))
                        .round()
                        .readings())
                .extracting("cell")
                .containsExactly(1, 3);
    }
}
