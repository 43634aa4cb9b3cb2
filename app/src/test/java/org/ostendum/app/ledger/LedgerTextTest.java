package org.ostendum.app.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;

class LedgerTextTest {
    private static final CellReading PLAIN = CellReading.gravity(3, 1265);
    private static final CellReading TOO_LOW =
            new CellReading(4, null, true, false, null, null, false, Level.values()[0], Colour.values()[0]);
    private static final CellReading WHOLE = new CellReading(
            5, SpecificGravity.ofPoints(1280), false, true, Celsius.of(23.5), Volts.of(2.61), true, null, null);

    @Test
    void aReadingKeepsTheNamesItHasAlwaysHad() {
        String text = LedgerText.write(
                new LedgerPayload.RoundRead(RoundState.FULL_CHARGE, Celsius.of(21), List.of(PLAIN, WHOLE)));
        assertThat(text)
                .isEqualTo("{\"state\":\"FULL_CHARGE\",\"celsiusTenths\":210,\"cells\":["
                        + "{\"cell\":3,\"sg\":1265},"
                        + "{\"cell\":5,\"sg\":1280,\"confirmed\":true,\"celsiusTenths\":235,"
                        + "\"millivolts\":2610,\"onCharge\":true}]}");
    }

    @Test
    void aReadingIsReadBack() {
        List<CellReading> readings = List.of(PLAIN, TOO_LOW, WHOLE);
        String text = LedgerText.write(new LedgerPayload.RoundRead(RoundState.FULL_CHARGE, null, readings));
        assertThat(LedgerText.read(text, LedgerPayload.RoundRead.class))
                .isEqualTo(new LedgerPayload.RoundRead(RoundState.FULL_CHARGE, null, readings));
    }

    @Test
    void voltagesByCellAreReadBack() {
        LedgerPayload.RoundVolts volts = new LedgerPayload.RoundVolts(81L, Map.of(2, new Volts(2480)));
        String text = LedgerText.write(volts);
        assertThat(text).isEqualTo("{\"round\":81,\"millivolts\":{\"2\":2480}}");
        assertThat(LedgerText.read(text, LedgerPayload.RoundVolts.class)).isEqualTo(volts);
    }

    @Test
    void ofTwoOfTheSameNameTheLaterOneIsKept() {
        String first = LedgerText.write(new LedgerPayload.Remark("as planned"), new LedgerPayload.Discarded(4));
        assertThat(LedgerText.with(first, new LedgerPayload.Remark("by hand")))
                .isEqualTo("{\"remark\":\"by hand\",\"discarded\":4}");
    }

    @Test
    void aLineThatKeepsNothingOfAPartReadsAsNothing() {
        LedgerPayload.JobCourse course = LedgerText.read("{}", LedgerPayload.JobCourse.class);
        assertThat(course.stepsDone()).isEmpty();
        assertThat(course.overrides()).isEmpty();
        assertThat(LedgerText.read("{\"remark\":\"x\"}", LedgerPayload.JobDone.class)
                        .title())
                .isNull();
    }

    @Test
    void aCorrectionOfOneCellIsNotOneOfTheRound() {
        String text = LedgerText.write(new LedgerPayload.CellCorrected(PLAIN, WHOLE, "misread"));
        assertThat(LedgerText.read(text, LedgerPayload.RoundCorrected.class).isAboutRound())
                .isFalse();
        assertThat(LedgerText.read(text, LedgerPayload.CellCorrected.class))
                .isEqualTo(new LedgerPayload.CellCorrected(PLAIN, WHOLE, "misread"));
    }
}
