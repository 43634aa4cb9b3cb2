package org.ostendum.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityTest {
    @ParameterizedTest
    @ValueSource(ints = {999, 1401, 0, -5, 12650})
    void aGravityOutsideWaterAndStrongAcidIsRefusedWithItsRange(int points) {
        assertThatThrownBy(() -> SpecificGravity.ofPoints(points)).isInstanceOfSatisfying(OutOfRange.class, e -> {
            assertThat(e.value()).isEqualTo(points / 1000.0);
            assertThat(e.least()).isEqualTo(1.0);
            assertThat(e.most()).isEqualTo(1.4);
        });
    }

    @ParameterizedTest
    @ValueSource(ints = {1000, 1400})
    void bothEndsOfTheGravityRangeAreIn(int points) {
        assertThat(SpecificGravity.ofPoints(points).points()).isEqualTo(points);
        assertThat(SpecificGravity.isPossible(points)).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"300, 30", "304, 30", "305, 31", "-300, -30", "-304, -30", "-305, -31", "0, 0"})
    void differencesRoundHalfAwayFromZero(int tenths, int points) {
        assertThat(new GravityDifference(tenths).points()).isEqualTo(points);
    }

    @ParameterizedTest
    @CsvSource({"12649, 1265", "12645, 1265", "12644, 1264"})
    void correctedGravitiesRoundHalfUp(int tenths, int points) {
        assertThat(new CorrectedGravity(tenths).points()).isEqualTo(points);
    }

    /** The reason for whole points: in double, 1.275 - 1.245 is not 0.030. */
    @Test
    void anExactLimitIsReachedExactly() {
        GravityDifference spread = CorrectedGravity.ofPoints(1275).minus(CorrectedGravity.ofPoints(1245));
        assertThat(spread).isEqualByComparingTo(GravityDifference.ofPoints(30));
        assertThat(1.275 - 1.245 >= 0.030).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"32, 0", "80, 26.7", "-40, -40", "212, 100"})
    void fahrenheitIsConvertedToTenths(double fahrenheit, double celsius) {
        assertThat(Celsius.ofFahrenheit(fahrenheit).degrees()).isEqualTo(celsius, within(0.04));
        assertThat(Celsius.of(celsius).fahrenheit()).isEqualTo(fahrenheit, within(0.1));
    }

    @Test
    void temperaturesAndVoltagesBeyondReasonAreRefused() {
        assertThatThrownBy(() -> Celsius.of(121)).isInstanceOf(OutOfRange.class);
        assertThatThrownBy(() -> Celsius.of(Double.NaN)).isInstanceOf(OutOfRange.class);
        assertThatThrownBy(() -> Volts.of(201)).isInstanceOf(OutOfRange.class);
        assertThatThrownBy(() -> AmpHours.of(-1)).isInstanceOf(OutOfRange.class);
        assertThat(Volts.of(2.12).volts()).isEqualTo(2.12);
        assertThat(AmpHours.of(600).ampHours()).isEqualTo(600);
    }

    @ParameterizedTest
    @CsvSource({"-0.2, 0", "0, 0", "0.505, 51", "1, 100", "1.3, 100"})
    void chargeIsHeldBetweenEmptyAndFull(double fraction, int percent) {
        assertThat(StateOfCharge.ofFraction(fraction).percent()).isEqualTo(percent);
    }
}
