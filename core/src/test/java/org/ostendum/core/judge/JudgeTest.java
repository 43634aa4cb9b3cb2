package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;
import static org.ostendum.core.judge.Cases.NOW;
import static org.ostendum.core.judge.Cases.SIX;
import static org.ostendum.core.judge.Cases.cell;
import static org.ostendum.core.judge.Cases.drawnTwice;
import static org.ostendum.core.judge.Cases.fortnightsAgo;
import static org.ostendum.core.judge.Cases.found;
import static org.ostendum.core.judge.Cases.judge;
import static org.ostendum.core.judge.Cases.round;
import static org.ostendum.core.judge.Cases.sound;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;

class JudgeTest {
    @Test
    void anEvenFullBatteryIsFit() {
        Verdict verdict = judge(round(RoundState.FULL_CHARGE, 1280, 1282, 1279, 1281, 1280, 1278));
        assertThat(verdict.severity()).isEqualTo(Severity.FIT);
        assertThat(verdict.findings()).isEmpty();
        assertThat(verdict.sentence().key()).isEqualTo("verdict.fit");
        assertThat(verdict.next()).isEqualTo(NextStep.NONE);
    }

    /** Spread after a full charge, at the exact limits. */
    @ParameterizedTest
    @CsvSource({"1260, FIT, ", "1259, WATCH, TAKE_ROUND", "1251, WATCH, TAKE_ROUND", "1250, ACT, EQUALISE"})
    void spreadIsJudgedAtItsExactLimits(int lowest, Severity severity, NextStep next) {
        Verdict verdict = judge(round(RoundState.FULL_CHARGE, 1280, 1280, 1280, 1280, 1280, lowest));
        assertThat(verdict.severity()).isEqualTo(severity);
        assertThat(found(verdict, FindingCode.BATTERY_UNEVEN).map(Finding::next).orElse(null))
                .isEqualTo(next);
    }

    @ParameterizedTest
    @CsvSource({
        "1231, AFTER_EQUALISE, BATTERY_UNEVEN, ACT, EQUALISE",
        "1230, AFTER_EQUALISE, CELL_WEAK, STOP, REPAIR_CELL",
        "1230, FULL_CHARGE, CELL_WEAK, ACT, EQUALISE"
    })
    void aCellFiftyBelowIsBadOnlyAfterAnEqualise(
            int lowest, RoundState state, FindingCode code, Severity severity, NextStep next) {
        Verdict verdict = judge(drawnTwice(round(state, 1280, 1280, 1280, lowest, 1280, 1280), 4));
        assertThat(verdict.findings()).hasSize(1);
        Finding finding = verdict.findings().get(0);
        assertThat(finding.code()).isEqualTo(code);
        assertThat(finding.severity()).isEqualTo(severity);
        assertThat(finding.next()).isEqualTo(next);
        if (code == FindingCode.CELL_WEAK) {
            assertThat(finding.cells()).isEqualTo(Cells.of(4));
            assertThat(finding.rules()).extracting(u -> u.key()).containsExactly(RuleKey.CELL_BELOW_MEDIAN);
        }
    }

    /** Without a past, one figure far from an even battery is sooner a slip of the pencil: it is drawn again before it counts. */
    @Test
    void aLoneCellOfAFirstRoundIsDrawnAgainFirst() {
        Verdict verdict = judge(round(RoundState.AFTER_EQUALISE, 1280, 1280, 1280, 1230, 1280, 1280));
        assertThat(verdict.findings()).extracting(Finding::code).containsExactly(FindingCode.READING_IMPOSSIBLE);
        assertThat(verdict.findings()).extracting(Finding::next).containsExactly(NextStep.READ_AGAIN);
    }

    /** All the same, whether high or low: charge state, not a fault of a cell. */
    @ParameterizedTest
    @CsvSource({"1270, true", "1269, false", "1240, false", "1290, true"})
    void allCellsLowAfterAChargeIsTheChargerNotACell(int all, boolean full) {
        Verdict verdict = judge(round(RoundState.FULL_CHARGE, all, all, all, all, all, all));
        assertThat(found(verdict, FindingCode.BATTERY_UNDERCHARGED).isEmpty()).isEqualTo(full);
        assertThat(found(verdict, FindingCode.CELL_WEAK)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1180, 0", "1179, 1"})
    void inServiceItIsChargedBelowTheModelsMark(int all, int findings) {
        Verdict verdict = judge(round(RoundState.IN_SERVICE, all, all, all, all, all, all));
        assertThat(verdict.findings()).hasSize(findings);
        assertThat(verdict.notJudged())
                .containsEntry("evenness", Missing.FULL_CHARGE)
                .containsEntry("weak-cells", Missing.FULL_CHARGE);
    }

    @Test
    void aPartialRoundDoesNotCompareCells() {
        Verdict verdict = judge(round(RoundState.FULL_CHARGE, 1295, 1265));
        assertThat(verdict.notJudged()).containsEntry("evenness", Missing.MORE_CELLS);
        // 1.265 beside 1.295 is not said to be clear: it was not compared.
        assertThat(verdict.sentence().key()).isEqualTo("verdict.too-few-cells");
        assertThat(verdict.sentence().arguments()).contains(3);
        assertThat(found(verdict, FindingCode.CELL_WEAK)).isEmpty();
    }

    @Test
    void sealedCellsAreNotJudgedByWhatCannotBeSeen() {
        Verdict verdict = judge(Cases.model(CellKind.GEL), Rules.standard(), sound(round(RoundState.REST)), List.of());
        assertThat(verdict.notJudged())
                .containsEntry("full-window", Missing.CAPS)
                .containsEntry("dry-cells", Missing.CAPS);
        assertThat(verdict.findings()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(Doubt.class)
    void aDoubtedRoundJudgesNoGravity(Doubt doubt) {
        PastRound latest =
                new PastRound(round(RoundState.AFTER_EQUALISE, 1280, 1280, 1280, 1200, 1280, 1280), List.of(doubt));
        Verdict verdict = judge(SIX, Rules.standard(), latest, List.of());
        assertThat(verdict.findings()).extracting(Finding::code).containsExactly(FindingCode.READING_UNRELIABLE);
        assertThat(verdict.notJudged()).containsEntry("weak-cells", Missing.RELIABLE_ROUND);
    }

    @Test
    void levelsAndColoursAreFindings() {
        Verdict verdict = judge(Cases.of(
                cell(1, null, true, false, Level.EXPOSED, null),
                cell(2, null, true, false, null, null),
                cell(3, 1280, false, false, Level.LOW, null),
                cell(4, 1280, false, false, Level.OVER, Colour.BROWN),
                cell(5, 1280, false, false, Level.RIGHT, Colour.CLEAR),
                cell(6, 1280, false, false, null, null)));
        assertThat(verdict.severity()).isEqualTo(Severity.STOP);
        assertThat(verdict.findings())
                .extracting(Finding::code, f -> f.cells().numbers(), Finding::next)
                .containsExactly(
                        tuple(FindingCode.CELL_DRY, List.of(1), NextStep.COVER_PLATES),
                        tuple(FindingCode.CELL_DRY, List.of(2), NextStep.WATER),
                        tuple(FindingCode.CELL_OVERFILLED, List.of(4), NextStep.DRAW_OFF),
                        tuple(FindingCode.CELL_COLOUR, List.of(4), NextStep.TEST_CAPACITY),
                        tuple(FindingCode.CELL_DRY, List.of(3), NextStep.WATER));
    }

    @Test
    void theSiteAndModelSetTheLimits() {
        Rules strict = Rules.standard().with(Map.of(RuleKey.SPREAD_EQUALISE, new BigDecimal(20)));
        PastRound latest = sound(round(RoundState.FULL_CHARGE, 1280, 1280, 1280, 1280, 1280, 1260));
        assertThat(judge(SIX, Rules.standard(), latest, List.of()).severity()).isEqualTo(Severity.FIT);
        Verdict verdict = judge(SIX, strict, latest, List.of());
        assertThat(verdict.severity()).isEqualTo(Severity.ACT);
        assertThat(verdict.findings().get(0).rules().get(0).value()).isEqualByComparingTo("20");
    }

    private static List<PastRound> evenPast(int rounds) {
        List<PastRound> past = new ArrayList<>();
        for (int i = rounds; i >= 1; i--) {
            int wobble = i % 2;
            past.add(sound(round(
                    fortnightsAgo(i), RoundState.FULL_CHARGE, 1280 + wobble, 1281, 1280 - wobble, 1279, 1281, 1280)));
        }
        return past;
    }

    /** Usual scatter has a floor of 2 points, so a leap of more than 20 is asked again. */
    @ParameterizedTest
    @CsvSource({"1200, true", "1255, true", "1262, false"})
    void aLeapIsDrawnAgainBeforeItIsBelieved(int typed, boolean doubted) {
        Verdict verdict = judge(round(RoundState.FULL_CHARGE, 1280, 1281, 1280, typed, 1281, 1280), evenPast(6));
        assertThat(found(verdict, FindingCode.READING_IMPOSSIBLE).isPresent()).isEqualTo(doubted);
        if (doubted) {
            assertThat(verdict.findings()).hasSize(1);
        }
    }

    @Test
    void aLeapDrawnAgainIsBelieved() {
        Verdict verdict = judge(
                Cases.of(
                        cell(1, 1280, false, false, null, null),
                        cell(2, 1281, false, false, null, null),
                        cell(3, 1280, false, false, null, null),
                        cell(4, 1200, false, true, null, null),
                        cell(5, 1281, false, false, null, null),
                        cell(6, 1280, false, false, null, null)),
                evenPast(6));
        assertThat(found(verdict, FindingCode.READING_IMPOSSIBLE)).isEmpty();
        assertThat(found(verdict, FindingCode.CELL_WEAK)).isPresent();
    }

    /** Cell 3 loses 3 points each fortnight; {@code bad} is one reading that is wrong. */
    private static List<PastRound> fallingPast(int rounds, int bad) {
        List<PastRound> past = new ArrayList<>();
        for (int i = rounds; i >= 1; i--) {
            int cell3 = 1280 - 3 * (rounds - i) + (i == bad ? 18 : 0);
            past.add(sound(round(fortnightsAgo(i), RoundState.FULL_CHARGE, 1280, 1281, cell3, 1279, 1281, 1280)));
        }
        return past;
    }

    @Test
    void aFallingCellIsCalledBeforeTheLimitWithItsDate() {
        Verdict verdict = judge(round(RoundState.FULL_CHARGE, 1280, 1281, 1256, 1279, 1281, 1280), fallingPast(8, 0));
        Finding finding = found(verdict, FindingCode.CELL_WEAK).orElseThrow();
        assertThat(finding.cells()).isEqualTo(Cells.of(3));
        assertThat(finding.severity()).isEqualTo(Severity.WATCH);
        // 24 of 50 points gone in 8 fortnights: the other 26 take 26 ÷ 3 fortnights.
        assertThat(finding.forecast().crosses()).isBetween(LocalDate.of(2026, 9, 28), LocalDate.of(2026, 10, 6));
        assertThat(finding.forecast().early())
                .isBeforeOrEqualTo(finding.forecast().crosses());
        assertThat(finding.forecast().late())
                .isAfterOrEqualTo(finding.forecast().crosses());
    }

    @Test
    void oneBadReadingDoesNotMoveTheDate() {
        LocalDate clean = found(
                        judge(round(RoundState.FULL_CHARGE, 1280, 1281, 1256, 1279, 1281, 1280), fallingPast(8, 0)),
                        FindingCode.CELL_WEAK)
                .orElseThrow()
                .forecast()
                .crosses();
        LocalDate disturbed = found(
                        judge(round(RoundState.FULL_CHARGE, 1280, 1281, 1256, 1279, 1281, 1280), fallingPast(8, 4)),
                        FindingCode.CELL_WEAK)
                .orElseThrow()
                .forecast()
                .crosses();
        assertThat(disturbed).isBetween(clean.minusDays(15), clean.plusDays(15));
    }

    @Test
    void aTrendNeedsItsRounds() {
        Verdict verdict = judge(round(RoundState.FULL_CHARGE, 1280, 1281, 1268, 1279, 1281, 1280), fallingPast(4, 0));
        assertThat(verdict.notJudged()).containsEntry("falling-cells", Missing.MORE_ROUNDS);
    }

    @Test
    void roundsDoubtedInThePastAreKeptOutOfTheTrend() {
        List<PastRound> past = new ArrayList<>(fallingPast(8, 0));
        past.add(new PastRound(
                round(NOW.minusSeconds(86_400), RoundState.FULL_CHARGE, 1280, 1281, 1400, 1279, 1281, 1280),
                List.of(Doubt.AFTER_WATER)));
        Verdict verdict = judge(round(RoundState.FULL_CHARGE, 1280, 1281, 1256, 1279, 1281, 1280), past);
        assertThat(found(verdict, FindingCode.CELL_WEAK)).isPresent();
        assertThat(found(verdict, FindingCode.READING_IMPOSSIBLE)).isEmpty();
    }

    @Test
    void theSameCaseGetsTheSameVerdict() {
        assertThat(judge(round(RoundState.FULL_CHARGE, 1280, 1281, 1256, 1279, 1281, 1280), fallingPast(8, 0)))
                .isEqualTo(judge(round(RoundState.FULL_CHARGE, 1280, 1281, 1256, 1279, 1281, 1280), fallingPast(8, 0)));
    }
}
