package org.ostendum.core.alarm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.quantity.OutOfRange;

class TellingTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Lisbon");
    private static final Instant NOON = Instant.parse("2026-01-15T12:00:00Z");

    private static Telling telling(String from, String until, int minutes, AlarmKind... kinds) {
        return new Telling(Set.of(kinds), LocalTime.parse(from), LocalTime.parse(until), Duration.ofMinutes(minutes));
    }

    @ParameterizedTest
    @CsvSource({
        "00:00, 00:00, true",
        "12:00, 13:00, true",
        "11:00, 12:00, false",
        "12:01, 13:00, false",
        "22:00, 06:00, false",
        "22:00, 12:01, true",
        "12:00, 06:00, true"
    })
    void itHoldsFromItsBeginningUntilBeforeItsEnd(String from, String until, boolean told) {
        assertThat(telling(from, until, 0).isDue(AlarmKind.GAS_STOP, NOON, NOON, ZONE))
                .isEqualTo(told);
    }

    @Test
    void theHoursAreThoseOfTheSite() {
        Instant summer = Instant.parse("2026-07-15T11:30:00Z");
        assertThat(telling("12:00", "13:00", 0).isDue(AlarmKind.GAS_STOP, summer, summer, ZONE))
                .isTrue();
    }

    @Test
    void heIsToldOnceNobodyHasSeenItForItsTime() {
        Telling late = telling("00:00", "00:00", 10);
        assertThat(late.isDue(AlarmKind.FAN_OFF, NOON, NOON.plusSeconds(599), ZONE))
                .isFalse();
        assertThat(late.isDue(AlarmKind.FAN_OFF, NOON, NOON.plusSeconds(600), ZONE))
                .isTrue();
    }

    @Test
    void withoutChosenKindsHeIsToldOfTheGraveOnes() {
        assertThat(telling("00:00", "00:00", 0).isDue(AlarmKind.LEVEL_LOW, NOON, NOON, ZONE))
                .isFalse();
        assertThat(telling("00:00", "00:00", 0).isDue(AlarmKind.NO_END, NOON, NOON, ZONE))
                .isTrue();
        Telling chosen = telling("00:00", "00:00", 0, AlarmKind.LEVEL_LOW);
        assertThat(chosen.isDue(AlarmKind.LEVEL_LOW, NOON, NOON, ZONE)).isTrue();
        assertThat(chosen.isDue(AlarmKind.GAS_STOP, NOON, NOON, ZONE)).isFalse();
    }

    @Test
    void eachTryWaitsTwiceAsLong() {
        assertThat(Telling.pauseAfter(1)).isEqualTo(Duration.ofSeconds(15));
        assertThat(Telling.pauseAfter(3)).isEqualTo(Duration.ofSeconds(60));
    }

    @Test
    void aWaitBeyondADayIsNone() {
        assertThatThrownBy(() -> telling("00:00", "00:00", 1441)).isInstanceOf(OutOfRange.class);
    }
}
