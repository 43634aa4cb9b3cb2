package org.ostendum.app.form;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PlainFiguresTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"12|12", "12.5|12.5", "12,5|12.5", " 7 |7", "-3|-3", "−3|-3", "+4|4", ".5|0.5", "5.|5", "0|0"})
    void aNumberIsReadAsPeopleWriteIt(String text, BigDecimal number) {
        assertThat(PlainNumber.parse(text).orElseThrow()).isEqualByComparingTo(number);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", " ", "1d", "0x1p3", "NaN", "1e3", "1.2.3", "1 000", "٣٤", "9999999999", "0.1234567", ".", "-"
            })
    void whatOnlyMachinesWriteIsNoNumber(String text) {
        assertThat(PlainNumber.parse(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"5000, 5000", "0.5, 0.5", "12.50, 12.5", "1000000, 1000000", "-40, -40", "38.400000000000006, 38.4"})
    void aNumberIsSaidWithoutExponentsAndEmptyDecimals(double number, String said) {
        assertThat(PlainNumber.say(number)).isEqualTo(said);
    }

    @ParameterizedTest
    @ValueSource(strings = {"2026-03-31", "1980-01-01", "2099-12-31", " 2026-02-28 "})
    void aDayIsOfTheYearsABatteryHasToDoWith(String text) {
        assertThat(PlainDay.parse(text)).contains(LocalDate.parse(text.strip()));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"1979-12-31", "2100-01-01", "+999999999-12-31", "2026-02-30", "31.3.2026", "", "0000-01-01"})
    void noOtherDayIs(String text) {
        assertThat(PlainDay.parse(text)).isEmpty();
    }
}
