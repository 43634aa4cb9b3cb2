package org.ostendum.app.form;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.support.TestWords;
import org.ostendum.core.people.Role;

class TypedFormTest {
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
    }

    @Test
    void aChoiceIsOneOfThoseOffered() {
        assertThat(form("LEAD").choice("field", Role.class)).contains(Role.LEAD);
        TypedForm other = form("KING");
        assertThat(other.choice("field", Role.class)).isEmpty();
        assertThat(fault(other)).isEqualTo("Choose one.");
    }

    @Test
    void theFirstFaultOfAFieldStands() {
        TypedForm form = form("");
        form.fault("field", "fault.blank");
        form.fault("field", "fault.choose");
        assertThat(fault(form)).isEqualTo("Write something here.");
    }
}
