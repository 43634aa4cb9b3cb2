package org.ostendum.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;

class EntryTest {
    @ParameterizedTest
    @CsvSource({
        "265, THREE_DIGITS, 1265",
        "165, THREE_DIGITS, 1165",
        "000, THREE_DIGITS, 1000",
        "400, THREE_DIGITS, 1400",
        "1265, FOUR_DIGITS, 1265",
        "1165, FOUR_DIGITS, 1165",
        "1.265, THREE_DIGITS, 1265",
        "1.265, FOUR_DIGITS, 1265",
        "'1,265', THREE_DIGITS, 1265",
        "1.27, THREE_DIGITS, 1270",
        "1.2650, FOUR_DIGITS, 1265",
        "' 1.165 ', THREE_DIGITS, 1165"
    })
    void aGravityIsReadInThePersonsForm(String text, GravityForm form, int points) {
        assertThat(GravityEntry.read(text, form))
                .isEqualTo(new GravityEntry.Accepted(SpecificGravity.ofPoints(points)));
    }

    /** 1265 keyed by somebody who keys three digits is not taken for 1.265: 126 would be as likely. */
    @ParameterizedTest
    @CsvSource({"1265, THREE_DIGITS", "265, FOUR_DIGITS", "26, THREE_DIGITS", "abc, THREE_DIGITS", "'', FOUR_DIGITS"})
    void theFormsAreNeverGuessedApart(String text, GravityForm form) {
        assertThat(GravityEntry.read(text, form)).isInstanceOf(GravityEntry.NotUnderstood.class);
    }

    @ParameterizedTest
    @CsvSource({
        "999, THREE_DIGITS",
        "401, THREE_DIGITS",
        "0999, FOUR_DIGITS",
        "12.65, THREE_DIGITS",
        "0.126, FOUR_DIGITS",
        "1.2655, FOUR_DIGITS"
    })
    void whatNoCellCanHaveIsImpossible(String text, GravityForm form) {
        assertThat(GravityEntry.read(text, form)).isInstanceOf(GravityEntry.Impossible.class);
    }

    @ParameterizedTest
    @CsvSource({"0, '', 1", "1, 1, 2", "6, '1 2 6', 3", "3, '3 4 5', 6", "6, '1 2 3 4 5 6', 0"})
    void theRoundGoesToTheNextCellNotDone(int after, String done, int next) {
        Set<Integer> cells = Arrays.stream(done.split(" ", -1))
                .filter(s -> !s.isEmpty())
                .map(Integer::valueOf)
                .collect(Collectors.toSet());
        assertThat(RoundPath.next(6, cells, after).orElse(0)).isEqualTo(next);
    }

    private static RoundSheet sheet(SheetEntry... entries) {
        return new RoundSheet(6, List.of(entries));
    }

    private static SheetEntry gravity(int cell, @Nullable String points) {
        return new SheetEntry(
                cell,
                SheetField.GRAVITY,
                points == null ? null : new SheetValue.Gravity(SpecificGravity.ofPoints(Integer.parseInt(points))));
    }

    @Test
    void theLastWordOnACellCounts() {
        RoundSheet sheet = sheet(
                gravity(1, "1265"),
                SheetEntry.of(1, new SheetValue.TooLow()),
                SheetEntry.of(2, new SheetValue.Skipped()),
                gravity(2, "1270"),
                gravity(3, "1280"),
                gravity(3, null));
        assertThat(sheet.readings())
                .extracting(CellReading::cell, CellReading::tooLow, CellReading::isRead)
                .containsExactly(tuple(1, true, true), tuple(2, false, true));
        assertThat(sheet.done()).containsExactlyInAnyOrder(1, 2);
        assertThat(sheet.cellsRead()).isEqualTo(2);
    }

    @ParameterizedTest
    @ValueSource(strings = {"1200", "1205", "1195"})
    void aSecondDrawCloseToTheFirstConfirmsIt(String second) {
        assertThat(sheet(gravity(4, "1200"), gravity(4, second))
                        .readings()
                        .get(0)
                        .confirmed())
                .isTrue();
        assertThat(sheet(gravity(4, "1200"), gravity(4, "1270"))
                        .readings()
                        .get(0)
                        .confirmed())
                .isFalse();
    }

    @Test
    void temperatureMayBeOneForAllOrTheCellsOwn() {
        RoundSheet sheet = sheet(
                SheetEntry.of(0, new SheetValue.Warm(Celsius.of(24))),
                gravity(1, "1265"),
                gravity(2, "1265"),
                SheetEntry.of(2, new SheetValue.Warm(Celsius.of(30))));
        Round round = sheet.round(Instant.EPOCH, RoundState.FULL_CHARGE);
        assertThat(round.readings())
                .extracting(r -> round.temperatureOf(r).degrees())
                .containsExactly(24.0, 30.0);
    }
}
