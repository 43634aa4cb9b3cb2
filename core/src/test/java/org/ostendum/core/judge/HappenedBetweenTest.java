package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.HottestOfCharge;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.Rules;

/** What the judge makes of what happened between the rounds. */
class HappenedBetweenTest {
    private static final Instant START = Instant.parse("2026-01-01T06:00:00Z");

    /** Over the limit twice within a month; once is a hot day. */
    @ParameterizedTest
    @CsvSource({"50, 51, true", "50, 49, false", "49, 49, false"})
    void heatThatComesAgainIsCalled(double first, double second, boolean hot) {
        Instant now = Cases.NOW;
        EventLog events = new EventLog(List.of(
                new HottestOfCharge(now.minusSeconds(5 * 86_400), Celsius.of(first)),
                new HottestOfCharge(now.minusSeconds(86_400), Celsius.of(second))));
        Round round = Cases.round(RoundState.FULL_CHARGE, 1280, 1281, 1280, 1282, 1280, 1281);
        Verdict verdict = Judge.judge(
                new Case(Cases.SIX, Rules.standard(), ZoneOffset.UTC, Cases.sound(round), List.of(), events));
        assertThat(Cases.found(verdict, FindingCode.BATTERY_HOT).isPresent()).isEqualTo(hot);
    }

    @Test
    void aLogSumsUpWhatHappenedBetween() {
        EventLog events = new EventLog(List.of(
                ChargeEnded.unstated(START.plusSeconds(90), AmpHours.of(80)),
                ChargeEnded.unstated(START.plusSeconds(10), AmpHours.of(100))));
        assertThat(events.begun()).isEqualTo(START.plusSeconds(10));
        assertThat(events.returned(START, START.plusSeconds(89))).isEqualTo(100);
        assertThat(events.returned(START.plusSeconds(10), START.plusSeconds(90)))
                .isEqualTo(80);
    }
}
