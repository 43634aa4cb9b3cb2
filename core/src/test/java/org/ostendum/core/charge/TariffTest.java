package org.ostendum.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TariffTest {
    private static final Tariff NIGHTS =
            new Tariff(30, 10, LocalTime.of(22, 0), LocalTime.of(6, 0), ZoneId.of("Europe/Vienna"));

    @ParameterizedTest
    @CsvSource({"19:59, 30", "20:00, 10", "03:59, 10", "04:00, 30", "12:00, 30"})
    void theNightIsTheSitesOwn(String utc, double cents) {
        // Vienna is two hours ahead in May.
        assertThat(NIGHTS.at(Instant.parse("2026-05-04T" + utc + ":00Z"))).isEqualTo(cents);
    }

    @ParameterizedTest
    @CsvSource({
        "2026-05-04T20:00:00Z, 2026-05-05T04:00:00Z, 2.0",
        "2026-05-04T18:00:00Z, 2026-05-04T22:00:00Z, 4.0",
        "2026-05-04T08:00:00Z, 2026-05-04T08:00:00Z, 6.0"
    })
    void aChargePaysByTheHoursItTook(Instant from, Instant to, double cost) {
        assertThat(NIGHTS.cost(20, from, to)).isEqualTo(cost, within(0.01));
    }

    @ParameterizedTest
    @CsvSource({"00:30, 10", "05:59, 10", "06:00, 30", "23:00, 30"})
    void aNightWithinOneDay(String utc, double cents) {
        Tariff early = new Tariff(30, 10, LocalTime.of(0, 0), LocalTime.of(6, 0), ZoneOffset.UTC);
        assertThat(early.at(Instant.parse("2026-05-04T" + utc + ":00Z"))).isEqualTo(cents);
    }
}
