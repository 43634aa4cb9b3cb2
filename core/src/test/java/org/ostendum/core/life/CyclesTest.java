package org.ostendum.core.life;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class CyclesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

    @Test
    void whatIsOnRecordFromTheFirstDayIsTakenAsItIs() {
        assertThat(new Cycles(240, TODAY.minusDays(300)).done(TODAY.minusDays(300), TODAY))
                .isEqualTo(240);
    }

    /** 200 in 200 days, after 400 days of which nothing is on record: 200 + 400. */
    @Test
    void theYearsBeforeTheRecordAreTakenToHaveBeenLikeIt() {
        assertThat(new Cycles(200, TODAY.minusDays(200)).done(TODAY.minusDays(600), TODAY))
                .isEqualTo(600);
    }

    @Test
    void fewDaysOnRecordSayNothingOfTheYearsBefore() {
        assertThat(new Cycles(9, TODAY.minusDays(12)).done(TODAY.minusDays(2000), TODAY))
                .isEqualTo(9);
        assertThat(new Cycles(0, null).done(TODAY.minusDays(2000), TODAY)).isZero();
    }
}
