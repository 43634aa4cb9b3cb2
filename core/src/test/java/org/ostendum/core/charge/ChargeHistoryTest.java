package org.ostendum.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class ChargeHistoryTest {
    private static final Instant START = Instant.parse("2026-03-01T06:00:00Z");

    private static ChargeHistory.Line line(int hour, ChargeHistory.What what, double quantity) {
        return new ChargeHistory.Line(START.plus(Duration.ofHours(hour)), what, quantity);
    }

    private static List<ChargeHistory.Month> months(int nowHour, ChargeHistory.Line... lines) {
        return ChargeHistory.of(Arrays.asList(lines), START.plus(Duration.ofHours(nowHour)), ZoneOffset.UTC);
    }

    @Test
    void anOrdinaryDayIsOneStartAndItsReturn() {
        ChargeHistory.Month month = months(
                        40,
                        line(6, ChargeHistory.What.WORKED, 300),
                        line(8, ChargeHistory.What.BEGUN, 0),
                        line(15, ChargeHistory.What.FINISHED, 336),
                        line(18, ChargeHistory.What.EQUALISED, 3),
                        line(15, ChargeHistory.What.HOTTEST, 38))
                .get(0);
        assertThat(month.month()).isEqualTo(YearMonth.of(2026, 3));
        assertThat(month.starts()).isEqualTo(1);
        assertThat(month.opportunity()).isZero();
        assertThat(month.missed()).isZero();
        assertThat(month.chargeReturn()).isCloseTo(1.12, within(1e-9));
        assertThat(month.equaliseHours()).isEqualTo(3);
        assertThat(month.hottest()).isEqualTo(38);
    }

    @Test
    void begunAgainWithoutWorkIsAnOpportunityStart() {
        ChargeHistory.Month month = months(
                        40,
                        line(6, ChargeHistory.What.WORKED, 100),
                        line(7, ChargeHistory.What.BEGUN, 0),
                        line(8, ChargeHistory.What.BEGUN, 0),
                        line(12, ChargeHistory.What.FINISHED, 112),
                        line(20, ChargeHistory.What.BEGUN, 0),
                        line(21, ChargeHistory.What.FINISHED, 5))
                .get(0);
        assertThat(month.starts()).isEqualTo(3);
        assertThat(month.opportunity()).isEqualTo(2);
    }

    @Test
    void workThatNoChargeFollowedWithinADayIsMissed() {
        assertThat(months(40, line(6, ChargeHistory.What.WORKED, 300)).get(0).missed())
                .isEqualTo(1);
        assertThat(months(20, line(6, ChargeHistory.What.WORKED, 300)).get(0).missed())
                .isZero();
        ChargeHistory.Month month = months(
                        90,
                        line(6, ChargeHistory.What.WORKED, 300),
                        line(50, ChargeHistory.What.WORKED, 100),
                        line(52, ChargeHistory.What.BEGUN, 0),
                        line(60, ChargeHistory.What.FINISHED, 448))
                .get(0);
        assertThat(month.missed()).isEqualTo(1);
    }

    @Test
    void anEndWithoutABeginningCountsAsAStartAndMonthsAreApart() {
        List<ChargeHistory.Month> months = months(
                24 * 40,
                line(6, ChargeHistory.What.WORKED, 300),
                line(15, ChargeHistory.What.FINISHED, 336),
                line(24 * 35, ChargeHistory.What.WORKED, 200),
                line(24 * 35 + 9, ChargeHistory.What.FINISHED, 0));
        assertThat(months)
                .extracting(ChargeHistory.Month::month)
                .containsExactly(YearMonth.of(2026, 4), YearMonth.of(2026, 3));
        assertThat(months).allMatch(m -> m.starts() == 1 && m.missed() == 0);
        assertThat(months.get(0).chargeReturn()).isNull();
    }

    @Test
    void nothingOnRecordIsNoMonth() {
        assertThat(months(10)).isEmpty();
    }
}
