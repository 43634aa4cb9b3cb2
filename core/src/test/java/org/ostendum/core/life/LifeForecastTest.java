package org.ostendum.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.life.LifeForecast.Tested;
import org.ostendum.core.quantity.OutOfRange;

class LifeForecastTest {
    private static final Stress USUAL = new Stress(250, 0.7, 30, 0, 0);

    @Test
    void heatHalvesALifeForEachTenKelvins() {
        double usual = USUAL.partAYear(1500);
        assertThat(usual).isBetween(0.2, 0.28);
        assertThat(new Stress(250, 0.7, 40, 0, 0).partAYear(1500)).isCloseTo(2 * usual, within(1e-9));
        assertThat(new Stress(250, 0.7, 30, 0.5, 0.25).partAYear(1500)).isCloseTo(1.7 * usual, within(1e-9));
        assertThat(new Stress(250, 0.9, 30, 0, 0).partAYear(1500)).isGreaterThan(usual);
        assertThat(USUAL.cooler(10).partAYear(1500)).isCloseTo(usual / 2, within(1e-9));
    }

    @Test
    void aNewOneLastsAsTheRuleSaysAndItsTestsTellMore() {
        double part = USUAL.partAYear(1500);
        LifeForecast unread = LifeForecast.of(0, part, part, List.of());
        assertThat(unread.likely()).isCloseTo(1 / part, within(0.3));
        LifeForecast good = LifeForecast.of(3, part, part, List.of(new Tested(1, 1.03), new Tested(3, 0.99)));
        LifeForecast bad = LifeForecast.of(3, part, part, List.of(new Tested(1, 0.95), new Tested(3, 0.83)));
        assertThat(good.likely()).isGreaterThan(2 * bad.likely());
        assertThat(bad.quantile(0.9) - bad.quantile(0.1)).isLessThan(unread.quantile(0.9) - unread.quantile(0.1));
    }

    /** One that works after its time is up is no wonder: it is one of the long-lived, and will not last for ever. */
    @Test
    void oneThatOutlivesItsTimeStillEnds() {
        LifeForecast old = LifeForecast.of(9, 0.24, 0.24, List.of());
        assertThat(old.likely()).isBetween(0.05, 3.0);
        assertThat(old.quantile(0.9)).isLessThan(8);
        assertThat(LifeForecast.of(3, 0.24, 0.12, List.of()).likely())
                .isGreaterThan(1.8 * LifeForecast.of(3, 0.24, 0.24, List.of()).likely());
    }

    @Test
    void theBudgetIsWhatIsLikelyTimesItsMoney() {
        LifeForecast soon = LifeForecast.of(4, 0.24, 0.24, List.of(new Tested(4, 0.82)));
        LifeForecast never = LifeForecast.ofNew(0.01);
        Budget budget = Budget.of(List.of(new Budget.Item(soon, never, 6000), new Budget.Item(soon, never, 4000)), 36);
        assertThat(budget.months()).hasSize(36);
        assertThat(budget.all()).isCloseTo(10_000 * soon.between(0, 3), within(1e-6));
        assertThat(budget.ofYear(0) + budget.ofYear(1) + budget.ofYear(2)).isCloseTo(budget.all(), within(1e-6));
        assertThat(budget.mostOfAMonth()).isPositive();
    }

    /** Half as deep twice as often wears the plates a little less, and the warmth takes more than that. */
    @Test
    void chargesInTheBreaksCostLifeByTheirHeat() {
        Stress work = new Stress(250, 0.8, 25, 0, 0);
        Stress breaks = work.chargedInBreaks();
        assertThat(breaks.partAYear(1500)).isGreaterThan(work.partAYear(1500));
        assertThat(breaks.cooler(5).partAYear(1500)).isLessThan(work.partAYear(1500));
        assertThat(new Stress(1400, 0.8, 58, 0, 0).chargedInBreaks().celsius()).isEqualTo(60);
    }

    /** Worn out within a year and a half, each is bought twice in three years. */
    @Test
    void aShortLivedOneIsBoughtAgainWithinTheTime() {
        LifeForecast sure = new LifeForecast(List.of(0.52));
        LifeForecast anew = new LifeForecast(List.of(1.52));
        Budget budget = Budget.of(List.of(new Budget.Item(sure, anew, 1000)), 36);
        assertThat(budget.all()).isCloseTo(2000, within(1e-6));
        assertThat(budget.months().get(6).money()).isCloseTo(1000, within(1e-6));
        assertThat(budget.months().get(24).money()).isCloseTo(1000, within(1e-6));
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> new Stress(-1, 0.5, 25, 0, 0)).isInstanceOf(OutOfRange.class);
        assertThatThrownBy(() -> USUAL.partAYear(5)).isInstanceOf(OutOfRange.class);
        assertThatThrownBy(() -> LifeForecast.of(70, 0.2, 0.2, List.of())).isInstanceOf(OutOfRange.class);
    }
}
