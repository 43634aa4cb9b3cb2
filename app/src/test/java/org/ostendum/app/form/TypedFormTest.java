package org.ostendum.app.form;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.people.Role;
import org.ostendum.app.support.TestWords;

class TypedFormTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

    private static TypedForm form(String typed) {
        return TypedForm.of(TestWords.metric(), "field", typed);
    }

    private static String fault(TypedForm form) {
        return form.faults().of("field");
    }

    @ParameterizedTest
    @CsvSource({
        "4.5, 4.5",
        "'4,5', 4.5",
        "'  7 ', 7",
        "0, 0",
        "10, 10",
    })
    void aNumberInItsRangeIsTakenWithPointOrComma(String typed, double number) {
        TypedForm form = form(typed);
        assertThat(form.number("field", 0, 10)).isEqualTo(number);
        assertThat(form.isSound()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "10.1, outside what is possible: 0 to 10",
        "-1, outside what is possible: 0 to 10",
        "ten, is no number. Allowed is 0 to 10",
        "NaN, is no number. Allowed is 0 to 10",
        "'', is no number",
        "4 5, is no number",
    })
    void aNumberThatCannotBeIsNamedWithItsRange(String typed, String told) {
        TypedForm form = form(typed);
        form.number("field", 0, 10);
        assertThat(form.isSound()).isFalse();
        assertThat(fault(form)).contains(typed.strip()).contains(told);
        assertThat(form.get("field")).isEqualTo(typed.strip());
    }

    @Test
    void aWholeNumberHasNoFraction() {
        assertThat(form("18").whole("field", 1, 144)).isEqualTo(18);
        TypedForm half = form("18.5");
        half.whole("field", 1, 144);
        assertThat(fault(half)).contains("18.5");
        assertThat(form("").wholeIfTyped("field", 1, 9)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "T-19, ''",
        "t 19, cannot be a code",
        "T/19, cannot be a code",
        "'<b>', cannot be a code",
        "ABCDEFGHIJKLMNOPQRSTU, cannot be a code",
        "'', Write something here",
    })
    void aCodeCanStandInAnAddress(String typed, String told) {
        TypedForm form = form(typed);
        form.code("field");
        if (told.isEmpty()) {
            assertThat(form.isSound()).isTrue();
        } else {
            assertThat(fault(form)).contains(told);
        }
    }

    @Test
    void aTextTooLongIsQuotedByItsBeginning() {
        TypedForm form = form("x".repeat(61));
        form.text("field", 60);
        assertThat(fault(form)).contains("x".repeat(20) + "…", "60").doesNotContain("x".repeat(21));
    }

    @ParameterizedTest
    @CsvSource({
        "2026-11-26, lies ahead",
        "26.11.2026, Write it as 2026-03-31",
        "2026-02-30, Write it as 2026-03-31",
    })
    void aDayThatHasNotComeOrIsNoneIsRefused(String typed, String told) {
        TypedForm form = form(typed);
        form.day("field", TODAY);
        assertThat(fault(form)).contains(typed, told);
    }

    @Test
    void todayHasComeAndNoDayIsNoFault() {
        assertThat(form("2026-11-25").day("field", TODAY)).isEqualTo(TODAY);
        TypedForm empty = form("");
        assertThat(empty.day("field", TODAY)).isNull();
        assertThat(empty.isSound()).isTrue();
    }

    @Test
    void aChoiceIsOneOfThoseOffered() {
        assertThat(form("LEAD").choice("field", Role.class)).contains(Role.LEAD);
        TypedForm other = form("KING");
        assertThat(other.choice("field", Role.class)).isEmpty();
        assertThat(fault(other)).isEqualTo("Choose one.");
        TypedForm noId = form("7; drop");
        assertThat(noId.id("field")).isNull();
        assertThat(noId.isSound()).isFalse();
    }

    @Test
    void theFirstFaultOfAFieldStands() {
        TypedForm form = form("");
        form.fault("field", "fault.blank");
        form.fault("field", "fault.choose");
        assertThat(fault(form)).isEqualTo("Write something here.");
    }
}
