package org.ostendum.app.form;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SaidTimeTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Paris");
    /** A Wednesday. */
    private static final Instant NOW = at("2026-03-25T06:10");

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(ZONE).toInstant();
    }

    @ParameterizedTest
    @CsvSource({
        "22:00, 2026-03-24T22:00",
        "05:30, 2026-03-25T05:30",
        "5.30, 2026-03-25T05:30",
        "at 5:30, 2026-03-25T05:30",
        "yesterday 14:30, 2026-03-24T14:30",
        "14:30 Yesterday, 2026-03-24T14:30",
        "today at 6:00, 2026-03-25T06:00",
        "Mon 7:15, 2026-03-23T07:15",
        "thursday 23:00, 2026-03-19T23:00",
        "2 h ago, 2026-03-25T04:10",
        "an hour ago, 2026-03-25T05:10",
        "half an hour ago, 2026-03-25T05:40",
        "20 min ago, 2026-03-25T05:50",
        "5 d ago, 2026-03-20T06:10",
        "ayer 14:30, 2026-03-24T14:30",
        "hoy a las 6:00, 2026-03-25T06:00",
        "lun 7:15, 2026-03-23T07:15",
        "miércoles 5:00, 2026-03-25T05:00",
        "sabado 23:00, 2026-03-21T23:00",
        "hace 2 h, 2026-03-25T04:10",
        "hace media hora, 2026-03-25T05:40",
        "hace 3 días, 2026-03-22T06:10",
        "2026-03-20 14:05, 2026-03-20T14:05",
        "2026-03-20T14:05, 2026-03-20T14:05",
        "'2026-03-20, 14:05', 2026-03-20T14:05"
    })
    void isTheMomentThatPeopleMean(String said, String meant) {
        assertThat(SaidTime.parse(said, NOW, ZONE)).contains(at(meant));
    }

    /** A minute ahead is a slip of today and has to be told as such, not taken for last night. */
    @Test
    void aClockALittleAheadStaysAhead() {
        assertThat(SaidTime.parse("06:40", NOW, ZONE)).contains(at("2026-03-25T06:40"));
    }

    /** Who looks back asks for a day; who writes down says the hour. */
    @ParameterizedTest
    @CsvSource({
        "yesterday, 2026-03-24T12:00",
        "Monday, 2026-03-23T12:00",
        "2026-03-03, 2026-03-03T12:00",
        "today, 2026-03-25T06:10",
        "hoy, 2026-03-25T06:10",
        "lunes, 2026-03-23T12:00",
        "yesterday 14:30, 2026-03-24T14:30"
    })
    void aDayAloneIsItsNoon(String said, String meant) {
        assertThat(SaidTime.parseOrDay(said, NOW, ZONE)).contains(at(meant));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "noon", "25:00", "7", "yesterday", "Feb 14:30", "t 14:30", "2026-02-31 10:00", "ago"})
    void whatIsNoTimeIsNone(String said) {
        assertThat(SaidTime.parse(said, NOW, ZONE)).isEmpty();
    }
}
