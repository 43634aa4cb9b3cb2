package org.ostendum.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.quantity.OutOfRange;

class RepairOrReplaceTest {
    private static final Prices TRAY = new Prices(5200, 350, 400, 1500);

    /** A new cycle costs (5200 − 400) ÷ 1500 = 3.20. */
    @ParameterizedTest
    @CsvSource({
        "1000, 1, 500, 0.70, true, 110",
        "1000, 4, 500, 2.80, true, 438",
        "1000, 5, 500, 3.50, false, 547",
        "1400, 1, 100, 3.50, false, 110",
        "0, 6, 1500, 1.40, true, 657"
    })
    void aRepairIsWorthItWhileACycleOfItCostsLess(
            int done, int bad, int left, double perCycle, boolean repair, int mustLast) {
        RepairOrReplace advice = RepairOrReplace.of(TRAY, done, bad);
        assertThat(advice.replacePerCycle()).isEqualTo(3.2);
        assertThat(advice.cyclesLeft()).isEqualTo(left);
        assertThat(advice.repairPerCycle()).isEqualTo(perCycle);
        assertThat(advice.isRepair()).isEqualTo(repair);
        assertThat(advice.mustStillLast()).isEqualTo(mustLast);
    }

    @Test
    void aBatteryAtItsEndIsReplaced() {
        RepairOrReplace advice = RepairOrReplace.of(TRAY, 1600, 1);
        assertThat(advice.cyclesLeft()).isZero();
        assertThat(advice.isRepair()).isFalse();
    }

    @Test
    void leadThatPaysForTheNewOneLeavesNothingToRepair() {
        RepairOrReplace advice = RepairOrReplace.of(new Prices(400, 50, 400, 500), 100, 1);
        assertThat(advice.isRepair()).isFalse();
        assertThat(advice.mustStillLast()).isEqualTo(Integer.MAX_VALUE);
    }

    @Test
    void noMoreThanTheNewPriceComesBackForTheLead() {
        assertThatThrownBy(() -> new Prices(500, 50, 501, 500)).isInstanceOf(OutOfRange.class);
    }
}
