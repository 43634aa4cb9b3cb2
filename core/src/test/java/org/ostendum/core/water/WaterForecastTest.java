package org.ostendum.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.quantity.Millilitres;

class WaterForecastTest {
    private static final Instant START = Instant.parse("2026-01-01T08:00:00Z");

    private static EventLog poured(int everyDays, double... millilitres) {
        List<BatteryEvent> events = new ArrayList<>();
        for (int i = 0; i < millilitres.length; i++) {
            events.add(new Watered(
                    START.plus(Duration.ofDays((long) everyDays * i)),
                    Millilitres.of(millilitres[i]),
                    null,
                    Fill.UNSTATED));
        }
        return new EventLog(events);
    }

    private static Instant day(int day) {
        return START.plus(Duration.ofDays(day));
    }

    /** 1000 ml in 10 days, four times: 100 ml a day; 2500 ml last 25 days from the last watering on day 40. */
    @Test
    void theNextDateIsLearnedFromWhatWasPoured() {
        WaterForecast forecast = WaterForecast.of(poured(10, 900, 1000, 1000, 1000, 1000), day(41), 2500)
                .orElseThrow();
        assertThat(forecast.perDay()).isCloseTo(100, within(1e-9));
        assertThat(forecast.nextAt()).isEqualTo(day(65));
        assertThat(forecast.expected(Duration.ofDays(7))).isCloseTo(700, within(1e-9));
    }

    @Test
    void oneOverfillingDoesNotMoveIt() {
        assertThat(WaterForecast.of(poured(10, 1000, 1000, 4000, 1000, 1000), day(41), 2500)
                        .orElseThrow()
                        .perDay())
                .isCloseTo(100, within(1e-9));
    }

    @Test
    void fewWateringsTellNothing() {
        assertThat(WaterForecast.of(poured(10, 1000, 1000, 1000), day(41), 2500))
                .isEmpty();
        assertThat(WaterForecast.of(EventLog.NONE, day(41), 2500)).isEmpty();
    }

    @Test
    void theReserveGoesWithCellsAndCapacity() {
        assertThat(WaterForecast.reserve(18, 600)).isCloseTo(0.6 * 0.75 * 600 * 18, within(1e-9));
    }
}
