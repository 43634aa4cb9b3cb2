package org.ostendum.core.equalise;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.rulebook.Rules;

class LowCurrentTest {
    private static BatteryModel model(double ampHours, double rateHours) {
        return new BatteryModel(
                "m",
                CellKind.FLOODED,
                Duty.MOTIVE,
                TrayPattern.ROWS_FROM_LEFT.layout(2, 3),
                AmpHours.of(ampHours),
                rateHours,
                GravityMarks.usualFor(Duty.MOTIVE));
    }

    @ParameterizedTest
    @CsvSource({"35, 1, 3.5", "600, 6, 44.5", "225, 20, 13.7"})
    void againstSulfateATenthOfTheOneHourCurrent(double ampHours, double rateHours, double amperes) {
        LowCurrent current = LowCurrent.againstSulfate(model(ampHours, rateHours), Rules.standard());
        assertThat(current.amperes().amperes()).isEqualTo(amperes);
        assertThat(current.atMost()).isEqualTo(Duration.ofHours(72));
    }

    @ParameterizedTest
    @CsvSource({"600, 18", "35, 1.1"})
    void threeAmperesForEachHundredAmpHoursEqualise(double ampHours, double amperes) {
        assertThat(LowCurrent.toEqualise(model(ampHours, 6)).amperes().amperes())
                .isEqualTo(amperes);
    }
}
