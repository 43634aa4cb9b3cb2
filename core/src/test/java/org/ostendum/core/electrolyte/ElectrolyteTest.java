package org.ostendum.core.electrolyte;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;

class ElectrolyteTest {
    /** 0.0007 per K, the 25 °C school. */
    @ParameterizedTest
    @CsvSource({"1265, 25, 12650", "1265, 35, 12720", "1265, 15, 12580", "1205, 24, 12043", "1280, 24.5, 12797"})
    void correctsToTwentyFive(int read, double celsius, int tenths) {
        assertThat(new TemperatureCorrection(Celsius.of(25))
                        .correct(SpecificGravity.ofPoints(read), Celsius.of(celsius)))
                .isEqualTo(new CorrectedGravity(tenths));
    }

    /** The 80 °F school: 0.004 per 10 °F, 1.250 at 100 °F counts as 1.258. */
    @ParameterizedTest
    @CsvSource({"1250, 100, 1258", "1250, 80, 1250", "1250, 60, 1242"})
    void correctsToEightyFahrenheit(int read, double fahrenheit, int points) {
        TemperatureCorrection school = new TemperatureCorrection(Celsius.ofFahrenheit(80));
        assertThat(school.correct(SpecificGravity.ofPoints(read), Celsius.ofFahrenheit(fahrenheit))
                        .points())
                .isEqualTo(points);
    }

    @Test
    void withoutATemperatureNothingIsCorrected() {
        assertThat(new TemperatureCorrection(Celsius.of(25)).uncorrected(SpecificGravity.ofPoints(1271)))
                .isEqualTo(CorrectedGravity.ofPoints(1271));
    }

    private static final ChargeScale SCALE =
            new ChargeScale(CorrectedGravity.ofPoints(1140), CorrectedGravity.ofPoints(1280));

    @ParameterizedTest
    @CsvSource({"1140, 0", "1280, 100", "1210, 50", "1100, 0", "1300, 100", "1175, 25"})
    void chargeIsLinearBetweenTheMarks(int points, int percent) {
        assertThat(SCALE.of(CorrectedGravity.ofPoints(points)).percent()).isEqualTo(percent);
    }

    /** OCV = SG + 0.845: a full cell of 1.275 rests at 2.12 V (Vinal). */
    @Test
    void restVoltageAndGravityBelongTogether() {
        assertThat(ChargeScale.restVoltage(CorrectedGravity.ofPoints(1275))).isEqualTo(Volts.of(2.12));
        assertThat(ChargeScale.gravityAtRest(Volts.of(2.055))).isEqualTo(CorrectedGravity.ofPoints(1210));
        assertThat(SCALE.ofRestVoltage(Volts.of(2.055)).percent()).isEqualTo(50);
    }

    @Test
    void aScaleMustRise() {
        assertThatThrownBy(() -> new ChargeScale(CorrectedGravity.ofPoints(1280), CorrectedGravity.ofPoints(1280)))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
