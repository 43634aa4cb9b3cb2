package org.ostendum.core.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.core.storage.Outlook.Why;

class OutlookTest {
    private static final LocalDate AUTUMN = LocalDate.of(2026, 10, 15);
    private static final Outlook.Limits LIMITS = new Outlook.Limits(25, null, 5);

    private static Climate always(double mean, double coldest) {
        return new Climate(Collections.nCopies(12, new Climate.Month(mean, coldest)));
    }

    private static Outlook.Stored stored(int points, boolean dirty) {
        return new Outlook.Stored(AUTUMN, new CorrectedGravity(points * 10), Duty.DEEP_CYCLE, 200, 0.5, dirty);
    }

    private static long days(int points, boolean dirty, Climate climate) {
        return Outlook.of(stored(points, dirty), climate, LIMITS, LearnedLoss.USUAL)
                .daysLeft(AUTUMN);
    }

    @Test
    void warmthAndDirtBringTheDayNearer() {
        long cool = days(1275, false, always(10, 5));
        long warm = days(1275, false, always(25, 20));
        long dirty = days(1275, true, always(25, 20));
        assertThat(warm).isCloseTo((long) (cool / 2.83), within(4L));
        assertThat(dirty).isCloseTo(warm / 3, within(2L));
        assertThat(days(1275, true, always(10, 5))).isLessThan(cool / 3);
    }

    /** At −25 °C, with five kelvins to spare, electrolyte under some 1.210 freezes: what stands half empty must not go there. */
    @Test
    void frostPressesFirstWhereItIsColdEnough() {
        Outlook half = Outlook.of(stored(1180, false), always(-10, -25), LIMITS, LearnedLoss.USUAL);
        assertThat(half.why()).isEqualTo(Why.FROST);
        assertThat(half.daysLeft(AUTUMN)).isZero();
        assertThat(half.days().get(0).freezes()).isBetween(1205.0, 1218.0);
        Outlook full = Outlook.of(stored(1275, false), always(-10, -25), LIMITS, LearnedLoss.USUAL);
        assertThat(full.daysLeft(AUTUMN))
                .satisfiesAnyOf(left -> assertThat(left).isNull(), left -> assertThat(left)
                        .isGreaterThan(150));
    }

    @Test
    void theCalendarPressesWhereNothingElseDoes() {
        Outlook outlook =
                Outlook.of(stored(1275, false), always(5, 0), new Outlook.Limits(25, 14, 5), LearnedLoss.USUAL);
        assertThat(outlook.why()).isEqualTo(Why.CALENDAR);
        assertThat(outlook.daysLeft(AUTUMN)).isEqualTo(14);
        assertThat(outlook.daysLeft(AUTUMN.plusDays(20))).isEqualTo(-6);
    }

    /** Its own readings outweigh the rule of thumb, and narrow what is left open. */
    @Test
    void itsOwnReadingsAreLearned() {
        LearnedLoss slow = LearnedLoss.USUAL.seen(20, 10);
        assertThat(slow.factor()).isBetween(0.5, 0.75);
        assertThat(slow.spread()).isLessThan(LearnedLoss.USUAL.spread());
        assertThat(slow.atMost()).isLessThan(LearnedLoss.USUAL.atMost());
        assertThat(LearnedLoss.USUAL.seen(30, -20).factor()).isGreaterThanOrEqualTo(0.2);
        assertThat(Outlook.foretold(stored(1275, false), always(25, 20), AUTUMN.plusDays(30)))
                .isBetween(6.0, 13.0);
    }

    @Test
    void theClimateRunsFromMonthToMonth() {
        Climate.Month[] months = new Climate.Month[12];
        for (int i = 0; i < 12; i++) {
            months[i] = new Climate.Month(i, i - 10);
        }
        Climate climate = new Climate(List.of(months));
        assertThat(climate.mean(LocalDate.of(2026, 7, 16))).isEqualTo(Celsius.of(6));
        assertThat(climate.mean(LocalDate.of(2026, 8, 1)).degrees()).isCloseTo(6.5, within(0.1));
        assertThat(climate.coldest(LocalDate.of(2026, 1, 31))).isEqualTo(Celsius.of(-10));
        assertThatThrownBy(() -> new Climate.Month(3, 9)).isInstanceOf(OutOfRange.class);
        assertThatThrownBy(() -> new Climate(List.of())).isInstanceOf(OutOfRange.class);
    }
}
