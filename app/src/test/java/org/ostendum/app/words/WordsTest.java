package org.ostendum.app.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.support.TestWords;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.rulebook.Severity;

class WordsTest {
    private final Words metric = TestWords.metric();
    private final Words american = TestWords.of(true, true, true);

    @Test
    void gravitiesAreShownAsThePersonLikes() {
        assertThat(metric.gravity(SpecificGravity.ofPoints(1265))).isEqualTo("1.265");
        assertThat(american.gravity(SpecificGravity.ofPoints(1265))).isEqualTo("1265");
        assertThat(metric.gravity(new CorrectedGravity(12643))).isEqualTo("1.264");
        assertThat(american.gravity(new CorrectedGravity(12646))).isEqualTo("1265");
    }

    @Test
    void temperaturesVolumesAndWeightsComeInThePersonsUnits() {
        assertThat(metric.temperature(Celsius.of(24.5))).isEqualTo("24.5 °C");
        assertThat(metric.temperature(Celsius.of(20))).isEqualTo("20 °C");
        assertThat(american.temperature(Celsius.of(25))).isEqualTo("77 °F");
        assertThat(american.temperatureTyped(Celsius.of(25))).isEqualTo("77");
        assertThat(metric.volume(310)).isEqualTo("310 ml");
        assertThat(metric.volume(2450)).isEqualTo("2.5 l");
        assertThat(american.volume(3785.41)).isEqualTo("1.00 gal");
        assertThat(metric.weight(1340)).isEqualTo("1,340 kg");
        assertThat(american.weight(1000)).isEqualTo("2,205 lb");
    }

    /** What a step works out comes as a quantity and is said in the reader's units, never as it is called in the code. */
    @Test
    void aSmallVolumeInASentenceIsAVolume() {
        Message sum = Message.of("step-sum.water", 4, new Millilitres(140));
        assertThat(metric.say(sum)).isEqualTo("Cell 4: 140 ml");
        assertThat(american.say(sum)).isEqualTo("Cell 4: 0.04 gal");
    }

    @ParameterizedTest
    @CsvSource({
        "9, cell 9",
        "3 9, cells 3 and 9",
        "4 5, cells 4 and 5",
        "1 2 3 4, cells 1 to 4",
        "1 4 9, 'cells 1, 4 and 9'"
    })
    void cellsAreListedAsPeopleSayThem(String numbers, String said) {
        List<Integer> cells =
                List.of(numbers.split(" ", -1)).stream().map(Integer::valueOf).toList();
        assertThat(metric.cells(new Cells(cells))).isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource({
        "2026-11-25T04:40:00Z, 05:40",
        "2026-11-23T21:00:00Z, Mon 22:00",
        "2026-11-18T21:00:00Z, 18 Nov 22:00",
        "2025-06-01T10:00:00Z, 1 Jun 2025 12:00"
    })
    void aMomentIsNamedByHowLongAgoItIs(Instant moment, String said) {
        assertThat(metric.moment(moment)).isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource({"0, 0 min", "59, 59 min", "60, 1 h", "130, 2 h 10", "125, 2 h 05", "700, 12 h", "-5, 0 min"})
    void aSpanIsSaidShortly(int minutes, String said) {
        assertThat(metric.span(Duration.ofMinutes(minutes))).isEqualTo(said);
    }

    @Test
    void aSentenceCarriesItsFigures() {
        Message message = Message.of(
                "finding.weak.proved.why",
                new CorrectedGravity(11950),
                new GravityDifference(910),
                new CorrectedGravity(12860),
                new GravityDifference(500));
        assertThat(metric.say(message)).contains("1.195 after an equalising charge, 91 points", "1.286 (limit 50)");
        assertThat(american.say(message)).contains("1195 after").contains("1286");
        assertThat(metric.rich(message)).contains("<b>1.195</b>", "<b>91</b> points");
    }

    @Test
    void whatPeopleTypedCannotBecomeMarkup() {
        assertThat(metric.rich(Message.of("find.nothing", "<script>")))
                .contains("&lt;script&gt;")
                .doesNotContain("<script>");
    }

    @Test
    void sentencesNestAndDatesAndNumbersAreSaid() {
        assertThat(metric.say(Message.of("find.nothing", Message.of("cells.one", 4))))
                .contains("cell 4");
        assertThat(metric.date(LocalDate.of(2027, 3, 5))).isEqualTo("5 Mar 2027");
        assertThat(metric.month(LocalDate.of(2027, 1, 1))).isEqualTo("Jan 2027");
        assertThat(metric.month(LocalDate.of(2026, 5, 1))).isEqualTo("May");
        assertThat(metric.decimal(new BigDecimal("50.00"))).isEqualTo("50");
        assertThat(metric.decimal(null)).isEmpty();
        assertThat(metric.name(Severity.ACT)).isEqualTo("act");
    }
}
