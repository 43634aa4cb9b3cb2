package org.ostendum.core.receive;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DateCodeTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

    private static List<YearMonth> months(String listed) {
        return listed == null || listed.isEmpty()
                ? List.of()
                : Arrays.stream(listed.split(" ")).map(YearMonth::parse).toList();
    }

    @ParameterizedTest
    @CsvSource({
        "C6, LETTER_DIGIT, 2026-03 2016-03 2006-03",
        "c 6, LETTER_DIGIT, 2026-03 2016-03 2006-03",
        "L6, LETTER_DIGIT, 2016-12 2006-12",
        "K6, LETTER_DIGIT, 2026-11 2016-11 2006-11",
        "I4, LETTER_DIGIT, 2024-09 2014-09",
        "J4, LETTER_DIGIT, 2024-10 2014-10",
        "J4, LETTER_DIGIT_NO_I, 2024-09 2014-09",
        "M4, LETTER_DIGIT_NO_I, 2024-12 2014-12",
        "I4, LETTER_DIGIT_NO_I, ''",
        "M4, LETTER_DIGIT, ''",
        "4C, DIGIT_LETTER, 2024-03 2014-03",
        "4C, LETTER_DIGIT, ''",
        "0326, MONTH_YEAR, 2026-03",
        "03-24, MONTH_YEAR, 2024-03",
        "1326, MONTH_YEAR, ''",
        "1226, MONTH_YEAR, ''",
        "0001, MONTH_YEAR, ''",
        "1126, WEEK_YEAR, 2026-03",
        "5326, WEEK_YEAR, ''",
        "5320, WEEK_YEAR, 2020-12",
        "5420, WEEK_YEAR, ''",
        "'', LETTER_DIGIT, ''",
        "Ä4, LETTER_DIGIT, ''",
    })
    void aCodeIsReadByItsScheme(String code, DateScheme scheme, String expected) {
        assertThat(DateCode.read(code, scheme, TODAY)).isEqualTo(months(expected));
    }

    @Test
    void whatAnotherSchemeWouldSayIsShown() {
        assertThat(DateCode.otherwise("J4", DateScheme.LETTER_DIGIT, TODAY))
                .containsOnlyKeys(DateScheme.LETTER_DIGIT_NO_I);
        assertThat(DateCode.otherwise("C4", DateScheme.LETTER_DIGIT, TODAY)).isEmpty();
        assertThat(DateCode.otherwise("0824", DateScheme.MONTH_YEAR, TODAY))
                .containsEntry(DateScheme.WEEK_YEAR, months("2024-02"));
    }

    @Test
    void noBatteryIsMadeTomorrow() {
        for (DateScheme scheme : DateScheme.values()) {
            for (String code : List.of("L6", "6L", "1226", "5226")) {
                assertThat(DateCode.read(code, scheme, TODAY)).allMatch(month -> !month.isAfter(YearMonth.from(TODAY)));
            }
        }
    }
}
