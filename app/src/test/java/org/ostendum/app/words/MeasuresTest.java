package org.ostendum.app.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MeasuresTest {
    private static final Measures OTHERS = new Measures(true, true, true);

    /** Source: NIST Special Publication 811, appendix B. */
    @ParameterizedTest
    @CsvSource({
        "l, 10, 2.6417, gal",
        "ml, 100, 3.3814, fl oz",
        "kg, 10, 22.0462, lb",
        "mm, 254, 10, in",
        "m³, 1, 35.3147, ft³",
        "m³/h, 100, 58.8578, cfm",
        "°C, 25, 77, °F",
        "°C, -40, -40, °F",
        "K, 10, 18, °F",
        "Ah, 600, 600, Ah",
        "sg, 1.265, 1265, ''"
    })
    void figuresAreTurned(String metric, double value, double shown, String unit) {
        assertThat(OTHERS.shown(metric, value)).isCloseTo(shown, within(0.0001));
        assertThat(OTHERS.unit(metric)).isEqualTo(unit);
        assertThat(Measures.METRIC.shown(metric, value)).isEqualTo(value);
        assertThat(Measures.METRIC.unit(metric)).isEqualTo(metric.equals("sg") ? "" : metric);
    }

    @ParameterizedTest
    @ValueSource(strings = {"l", "ml", "kg", "mm", "m³", "m³/h", "°C", "K", "A", ""})
    void thereAndBackIsTheSame(String metric) {
        for (Measures measures :
                new Measures[] {OTHERS, new Measures(true, false, false), new Measures(false, true, false)}) {
            assertThat(measures.metric(metric, measures.shown(metric, 12.34))).isCloseTo(12.34, within(1e-9));
            assertThat(Measures.of(measures.code())).isEqualTo(measures);
        }
    }

    @ParameterizedTest
    @CsvSource({"l, 3.456, 3.46 l", "l, 34.56, 34.6 l", "l, 345.6, 346 l", "'', 0.5, 0.50"})
    void threeFiguresAreSaid(String unit, double value, String said) {
        assertThat(Measures.METRIC.say(unit, value)).isEqualTo(said);
    }
}
