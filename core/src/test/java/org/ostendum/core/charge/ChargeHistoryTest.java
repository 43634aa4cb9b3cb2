package org.ostendum.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;

class ChargeHistoryTest {
    private static final Instant START = Instant.parse("2026-03-01T06:00:00Z");

    private static Instant hour(int hour) {
        return START.plus(Duration.ofHours(hour));
    }

    private static BatteryEvent worked(int hour, double ampHours) {
        return new BatteryEvent.Worked(hour(hour), AmpHours.of(ampHours));
    }

    private static BatteryEvent begun(int hour) {
        return new BatteryEvent.ChargeStarted(hour(hour), ChargeKind.CONVENTIONAL, null);
    }

    private static BatteryEvent finished(int hour, double ampHours) {
        return BatteryEvent.ChargeEnded.unstated(hour(hour), ampHours == 0 ? null : AmpHours.of(ampHours));
    }

    private static List<ChargeHistory.Month> months(int nowHour, BatteryEvent... events) {
        return ChargeHistory.of(new EventLog(List.of(events)), hour(nowHour), ZoneOffset.UTC);
    }

    @Test
    void anOrdinaryDayIsOneStartAndItsReturn() {
        ChargeHistory.Month month = months(
                        40,
                        worked(6, 300),
                        begun(8),
                        finished(15, 336),
                        new BatteryEvent.Equalised(hour(18), Duration.ofHours(3)),
                        new BatteryEvent.HottestOfCharge(hour(15), Celsius.of(38)))
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
                        40, worked(6, 100), begun(7), begun(8), finished(12, 112), begun(20), finished(21, 5))
                .get(0);
        assertThat(month.starts()).isEqualTo(3);
        assertThat(month.opportunity()).isEqualTo(2);
    }

    @Test
    void workThatNoChargeFollowedWithinADayIsMissed() {
        assertThat(months(40, worked(6, 300)).get(0).missed()).isEqualTo(1);
        assertThat(months(20, worked(6, 300)).get(0).missed()).isZero();
        ChargeHistory.Month month = months(90, worked(6, 300), worked(50, 100), begun(52), finished(60, 448))
                .get(0);
        assertThat(month.missed()).isEqualTo(1);
    }

    @Test
    void anEndWithoutABeginningCountsAsAStartAndMonthsAreApart() {
        List<ChargeHistory.Month> months =
                months(24 * 40, worked(6, 300), finished(15, 336), worked(24 * 35, 200), finished(24 * 35 + 9, 0));
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
