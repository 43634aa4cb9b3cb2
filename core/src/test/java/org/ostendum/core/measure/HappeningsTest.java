package org.ostendum.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.charge.ChargeState;
import org.ostendum.core.charge.ChargeState.Phase;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.Rules;

class HappeningsTest {
    private static final Instant T = Instant.parse("2026-03-02T06:00:00Z");

    private static Instant hour(int hour) {
        return hour < 0 ? null : T.plus(Duration.ofHours(hour));
    }

    /** Hours of the last discharge, charge end and equalise end; -1 for never. */
    @ParameterizedTest
    @CsvSource({
        "1, 9, -1, FULL_CHARGE, true",
        "1, 9, 12, AFTER_EQUALISE, true",
        "20, 9, 12, IN_SERVICE, false",
        "1, 15, 12, FULL_CHARGE, true",
        "-1, -1, -1, UNKNOWN, false",
        "-1, 9, -1, FULL_CHARGE, true",
        "9, 9, -1, IN_SERVICE, false"
    })
    void theStateFollowsFromWhatHappened(int discharge, int charge, int equalise, RoundState state, boolean full) {
        Happenings happenings = new Happenings(null, null, hour(charge), hour(equalise), hour(discharge), 0);
        assertThat(happenings.state()).isEqualTo(state);
        assertThat(happenings.isFull()).isEqualTo(full);
    }

    @ParameterizedTest
    @CsvSource({
        "1, 2, -1, 5, CHARGING, 0",
        "1, 2, 10, 12, COOLING, 360",
        "1, 2, 10, 18, READY, 0",
        "1, 2, 10, 17, COOLING, 60",
        "12, 2, 10, 13, WORKED, 0",
        "-1, -1, -1, 3, UNKNOWN, 0"
    })
    void betweenChargeAndWork(int discharge, int start, int end, int now, Phase phase, int minutesLeft) {
        Happenings happenings = new Happenings(null, hour(start), hour(end), null, hour(discharge), 0);
        ChargeState state = ChargeState.of(happenings, hour(now), Rules.standard());
        assertThat(state.phase()).isEqualTo(phase);
        assertThat(state.left()).isEqualTo(Duration.ofMinutes(minutesLeft));
    }

    private static Round round(double celsius) {
        return new Round(hour(20), RoundState.FULL_CHARGE, Celsius.of(celsius), List.of(CellReading.gravity(1, 1280)));
    }

    @ParameterizedTest
    @CsvSource({"25, ", "5, ", "4.9, TOO_COLD", "45, ", "45.1, TOO_HOT"})
    void aRoundTooColdOrTooHotIsDoubted(double celsius, Doubt doubt) {
        List<Doubt> doubts = Reliability.doubts(round(celsius), Happenings.NOTHING, Rules.standard());
        assertThat(doubts).isEqualTo(doubt == null ? List.of() : List.of(doubt));
    }

    @Test
    void waterIsDoubtedUntilAChargeHasMixedIt() {
        Happenings watered = new Happenings(hour(10), null, hour(9), null, hour(1), 0);
        Happenings chargedSince = new Happenings(hour(10), null, hour(18), null, hour(1), 1);
        assertThat(Reliability.doubts(round(25), watered, Rules.standard())).containsExactly(Doubt.AFTER_WATER);
        assertThat(Reliability.doubts(round(25), chargedSince, Rules.standard()))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"29, GASSING", "30, "})
    void bubblesNeedTheirTime(int minutes, Doubt doubt) {
        Happenings justCharged = new Happenings(null, null, hour(20).minus(Duration.ofMinutes(minutes)), null, null, 0);
        assertThat(Reliability.doubts(round(25), justCharged, Rules.standard()))
                .isEqualTo(doubt == null ? List.of() : List.of(doubt));
    }
}
