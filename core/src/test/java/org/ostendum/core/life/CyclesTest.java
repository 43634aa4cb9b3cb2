package org.ostendum.core.life;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class CyclesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

    private static Instant daysAgo(int days) {
        return TODAY.minusDays(days).atTime(21, 0).toInstant(ZoneOffset.UTC);
    }

    @Test
    void whatIsOnRecordFromTheFirstDayIsTakenAsItIs() {
        assertThat(new Cycles(240, daysAgo(300)).done(TODAY.minusDays(300), TODAY, ZoneOffset.UTC))
                .isEqualTo(240);
    }

    /** 200 in 200 days, after 400 days of which nothing is on record: 200 + 400. */
    @Test
    void theYearsBeforeTheRecordAreTakenToHaveBeenLikeIt() {
        assertThat(new Cycles(200, daysAgo(200)).done(TODAY.minusDays(600), TODAY, ZoneOffset.UTC))
                .isEqualTo(600);
    }

    @Test
    void theFirstChargeStaysTheFirst() {
        assertThat(Cycles.NONE.andOne(daysAgo(9)).andOne(daysAgo(2))).isEqualTo(new Cycles(2, daysAgo(9)));
    }

    @Test
    void fewDaysOnRecordSayNothingOfTheYearsBefore() {
        assertThat(new Cycles(9, daysAgo(12)).done(TODAY.minusDays(2000), TODAY, ZoneOffset.UTC))
                .isEqualTo(9);
        assertThat(Cycles.NONE.done(TODAY.minusDays(2000), TODAY, ZoneOffset.UTC))
                .isZero();
    }
}
