package org.ostendum.core.gas;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CubicMetres;
import org.ostendum.core.quantity.Volts;

class GassingTest {
    private static CubicMetres air(double cubicMetres) {
        return new CubicMetres(cubicMetres);
    }

    /** Faraday: 26.8 Ah make half a mole of hydrogen, 11.2 l at 0 °C. */
    @ParameterizedTest
    @CsvSource({"1, 26.8, 0, 0.01126", "24, 30, 0, 0.3024", "24, 30, 25, 0.3301", "0, 30, 25, 0"})
    void hydrogenOfOvercharge(int cells, double amperes, double celsius, double cubicMetres) {
        assertThat(Gassing.hydrogenPerHour(cells, new Amperes(amperes), Celsius.of(celsius))
                        .cubicMetres())
                .isCloseTo(cubicMetres, within(0.0001));
    }

    /** 24 cells at 30 A: nothing below the gassing voltage, all of it at the finish; a warm battery gasses at less. */
    @ParameterizedTest
    @CsvSource({
        "2.30, 25, 0",
        "2.35, , 0",
        "2.475, , 0.16505",
        "2.60, 25, 0.3301",
        "2.75, 25, 0.3301",
        "2.31, 35, 0",
        "2.56, 35, 0.3301",
        "2.60, 15, 0.2773"
    })
    void gasByTheVoltage(double perCell, @Nullable Double celsius, double cubicMetres) {
        Volts volts = Volts.of(24 * perCell);
        Celsius electrolyte = celsius == null ? null : Celsius.of(celsius);
        assertThat(Gassing.ofCharge(24, volts, new Amperes(30), electrolyte).cubicMetres())
                .isCloseTo(cubicMetres, within(0.0002));
    }

    /** IEC 62485-3: a 48 V battery of 700 Ah finishing at 28 A wants 33.6 m³ an hour. */
    @Test
    void airThatItWants() {
        assertThat(Gassing.airPerHour(24, new Amperes(28)).cubicMetres()).isCloseTo(33.6, within(1e-9));
    }

    /** That air holds the room far below 1 % for ever: 0.42 l in 50 l is 0.84 %. */
    @Test
    void enoughAirNeverReachesOnePercent() {
        CubicMetres hydrogen = Gassing.hydrogenPerHour(24, new Amperes(28), Celsius.of(0));
        CubicMetres wanted = Gassing.airPerHour(24, new Amperes(28));
        assertThat(Gassing.until(0.01, air(200), hydrogen, wanted)).isEmpty();
        assertThat(Gassing.fraction(air(200), hydrogen, wanted, Duration.ofDays(30)))
                .isCloseTo(0.0084, within(1e-6));
    }

    /** Everything shut: 0.3 m³ an hour in 60 m³ is 1 % after two hours, 2 % after four. */
    @Test
    void withTheFanOffItRisesStraight() {
        assertThat(Gassing.until(0.01, air(60), air(0.3), air(0))).contains(Duration.ofHours(2));
        assertThat(Gassing.until(0.02, air(60), air(0.3), air(0))).contains(Duration.ofHours(4));
        assertThat(Gassing.fraction(air(60), air(0.3), air(0), Duration.ofHours(2)))
                .isCloseTo(0.01, within(1e-9));
    }

    @Test
    void theTimeUntilAndTheFractionAfterAgree() {
        for (double exchange : new double[] {1, 5, 12}) {
            Duration until =
                    Gassing.until(0.01, air(80), air(0.4), air(exchange)).orElseThrow();
            assertThat(Gassing.fraction(air(80), air(0.4), air(exchange), until))
                    .isCloseTo(0.01, within(1e-5));
        }
    }

    @Test
    void noGasNeverGathers() {
        assertThat(Gassing.until(0.01, air(80), air(0), air(0))).isEmpty();
    }
}
