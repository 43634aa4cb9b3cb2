package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.ostendum.core.judge.Cases.SIX;
import static org.ostendum.core.judge.Cases.fortnightsAgo;
import static org.ostendum.core.judge.Cases.found;
import static org.ostendum.core.judge.Cases.sound;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.function.IntUnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.fact.Sheet;

/** Why a cell is low: by its volts on charge, and by how it fell. */
class CellCauseTest {
    private static final int ROUNDS = 10;
    private static final int CELL = 3;
    private static final double USUAL = 2.62;

    /**
     * Ten fortnights of one cell.
     *
     * @param points it is below the others, by the number of the round
     * @param millivolts it is above them on charge; not a number where none were read
     */
    private static List<PastRound> rounds(IntUnaryOperator points, IntToDoubleFunction millivolts) {
        List<PastRound> rounds = new ArrayList<>();
        for (int i = 0; i <= ROUNDS; i++) {
            List<CellReading> readings = new ArrayList<>();
            for (int cell = 1; cell <= 6; cell++) {
                double above = cell == CELL ? millivolts.applyAsDouble(i) : (cell + i) % 2;
                int below = cell == CELL ? points.applyAsInt(i) : (cell * i) % 2;
                readings.add(new CellReading(
                        cell,
                        SpecificGravity.ofPoints(1282 - below),
                        false,
                        cell == CELL && i == ROUNDS,
                        null,
                        Double.isNaN(above) ? null : Volts.of(USUAL + above / 1000),
                        !Double.isNaN(above),
                        null,
                        null));
            }
            rounds.add(sound(new Round(fortnightsAgo(ROUNDS - i), RoundState.FULL_CHARGE, Celsius.of(25), readings)));
        }
        return rounds;
    }

    private static Verdict judge(List<PastRound> rounds) {
        return Cases.judge(SIX, Rules.standard(), rounds.get(ROUNDS), rounds.subList(0, ROUNDS));
    }

    private static List<FindingCode> codes(Verdict verdict) {
        return verdict.findings().stream()
                .filter(f -> f.cells().numbers().contains(CELL))
                .map(Finding::code)
                .toList();
    }

    /** Six points a fortnight down: with 50 mV below on charge a short, above sulfate, between nobody knows. */
    @ParameterizedTest
    @CsvSource({"-80, CELL_SHORT", "-40, CELL_WEAK", "0, CELL_WEAK", "40, CELL_WEAK", "80, CELL_SULFATED"})
    void theVoltsOnChargeTellWhyACellFalls(int millivolts, FindingCode code) {
        Verdict verdict = judge(rounds(
                i -> 6 * i,
                i -> i * millivolts / 7.0 > millivolts == millivolts > 0 ? millivolts : i * millivolts / 7.0));
        assertThat(codes(verdict)).containsOnly(code);
    }

    @Test
    void withoutVoltsOnChargeTheyAreAskedFor() {
        Verdict verdict = judge(rounds(i -> 6 * i, i -> Double.NaN));
        Finding finding = found(verdict, FindingCode.CELL_WEAK).orElseThrow();
        assertThat(finding.cells()).isEqualTo(Cells.of(CELL));
    }

    /** Forty points at once and steady since: acid is gone. A slope, or a step that goes on, is none. */
    @Test
    void acidGoesInOneStepAndStays() {
        assertThat(codes(judge(rounds(i -> i < 4 ? 0 : 40, i -> Double.NaN)))).contains(FindingCode.CELL_DILUTED);
        assertThat(codes(judge(rounds(i -> i < 4 ? 0 : 16 + 4 * i, i -> Double.NaN))))
                .doesNotContain(FindingCode.CELL_DILUTED);
        assertThat(codes(judge(rounds(i -> i < 9 ? 0 : 40, i -> Double.NaN))))
                .as("too few readings since")
                .doesNotContain(FindingCode.CELL_DILUTED);
    }

    /** What slid over some rounds and then rested is a plate that sheds or a leak; where rounds lie months apart nobody sees it slide. */
    @ParameterizedTest
    @CsvSource({"14, false", "90, true"})
    void whatSlidIsNoStepWhereItCouldBeSeen(int days, boolean step) {
        int[] below = {1, 1, 2, 0, 2, -1, 1, 12, 8, 10, 10, 17};
        Verdict verdict = new History(SIX, below.length)
                .every(days)
                .below((round, cell) -> cell == CELL ? below[round] : 0)
                .judged();
        assertThat(codes(verdict).contains(FindingCode.CELL_DILUTED))
                .as(verdict.toString())
                .isEqualTo(step);
    }

    /** A short that died between two rounds: nobody draws it again to be told so, for two instruments do not slip at once. */
    @ParameterizedTest
    @CsvSource({"2.00, true", "2.58, false"})
    void aLeapIsBelievedWhereTheVoltageSaysSoToo(double volts, boolean dead) {
        Verdict verdict = new History(SIX, 9)
                .below((round, cell) -> cell == CELL && round == 8 ? 230 : 0)
                .onCharge((round, cell) -> cell == CELL && round == 8 ? volts : USUAL)
                .judged();
        assertThat(codes(verdict)).containsExactly(dead ? FindingCode.CELL_SHORT : FindingCode.READING_IMPOSSIBLE);
    }

    /** Nobody drew either sample again; that the second stands lower still is no second slip. */
    @ParameterizedTest
    @CsvSource({"70, 230, true", "70, 0, false"})
    void whatFallsFurtherWasNoSlip(int first, int second, boolean believed) {
        BatteryFold fold = BatteryFold.begin(new Sheet(SIX, Rules.standard()), ZoneOffset.UTC);
        History history =
                new History(SIX, 9).below((round, cell) -> cell != CELL || round < 7 ? 0 : round == 7 ? first : second);
        history.rounds().forEach(round -> fold.fold(new BatteryEvent.RoundTaken(round)));
        List<FindingCode> open = fold.snapshot().findings().open().stream()
                .map(standing -> standing.finding().code())
                .toList();
        assertThat(open.contains(FindingCode.CELL_WEAK)).as(open.toString()).isEqualTo(believed);
        assertThat(open).doesNotContain(FindingCode.READING_IMPOSSIBLE);
    }

    @Test
    void nextStepsFollowTheCause() {
        Finding shorted = found(judge(rounds(i -> 6 * i, i -> -12.0 * i)), FindingCode.CELL_SHORT)
                .orElseThrow();
        assertThat(shorted.next()).isEqualTo(NextStep.REPAIR_CELL);
        Finding diluted = found(judge(rounds(i -> i < 4 ? 0 : 40, i -> Double.NaN)), FindingCode.CELL_DILUTED)
                .orElseThrow();
        assertThat(diluted.next()).isEqualTo(NextStep.ADJUST_ACID);
    }

    /** Against the cell's own beginning: one that always stood 80 mV above is told nothing by it. */
    @Test
    void voltsCountAgainstTheCellsOwnBeginning() {
        ChargeVolts always = ChargeVolts.of(rounds(i -> 0, i -> 80).stream());
        assertThat(always.isTold(CELL)).isTrue();
        assertThat(always.above(CELL).orElseThrow()).isCloseTo(0, within(1.0));
        assertThat(always.lastAbove(CELL).orElseThrow()).isCloseTo(79.5, within(1.0));
        ChargeVolts risen = ChargeVolts.of(rounds(i -> 0, i -> i < 5 ? 0 : 80).stream());
        assertThat(risen.above(CELL).orElseThrow()).isCloseTo(80, within(1.5));
        assertThat(risen.above(7)).isEmpty();
        assertThat(risen.scatter()).isPositive();
    }

    @Test
    void theBatteryIsMeasuredAgainstItsOwnBeginningToo() {
        List<PastRound> rounds = rounds(i -> 0, i -> 0);
        ChargeVolts volts = ChargeVolts.of(rounds.stream());
        assertThat(volts.now().orElseThrow()).isCloseTo(2620.5, within(1.0));
        assertThat(volts.risen().orElseThrow()).isCloseTo(0, within(1.0));
        assertThat(ChargeVolts.of(rounds.stream().limit(5)).risen()).isEmpty();
        assertThat(ChargeVolts.of(Stream.empty()).now()).isEmpty();
    }
}
