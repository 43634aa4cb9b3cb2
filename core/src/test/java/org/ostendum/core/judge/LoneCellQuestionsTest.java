package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.judge.Cases.BLOCKS;
import static org.ostendum.core.judge.Cases.NOW;
import static org.ostendum.core.judge.Cases.SIX;
import static org.ostendum.core.judge.Cases.cell;
import static org.ostendum.core.judge.Cases.fortnightsAgo;
import static org.ostendum.core.judge.Cases.found;
import static org.ostendum.core.judge.Cases.judge;
import static org.ostendum.core.judge.Cases.round;
import static org.ostendum.core.judge.Cases.sound;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;

/** Cells and blocks that stand apart from the others. */
class LoneCellQuestionsTest {
    private static List<PastRound> evenPast(int rounds, int... points) {
        List<PastRound> past = new ArrayList<>();
        for (int i = rounds; i >= 1; i--) {
            past.add(sound(round(fortnightsAgo(i), RoundState.FULL_CHARGE, points)));
        }
        return past;
    }

    /** A median 15 points above the full window, at its exact limit: 1.295 and 1.310. */
    @ParameterizedTest
    @CsvSource({"1310, true", "1309, false"})
    void allAboveTheFullWindowHaveLostWater(int all, boolean high) {
        Verdict verdict = judge(round(RoundState.FULL_CHARGE, all, all, all, all, all, all));
        Finding finding = found(verdict, FindingCode.CELL_CONCENTRATED).orElse(null);
        assertThat(finding != null).isEqualTo(high);
        if (finding != null) {
            assertThat(finding.cells().numbers()).isEmpty();
            assertThat(finding.sentence().key()).isEqualTo("finding.high.all");
        }
    }

    /** One cell 30 points above even neighbours: dry where its level is not right, acid where it is. */
    @ParameterizedTest
    @CsvSource({
        "1310, LOW, finding.high.dry",
        "1310, , finding.high.dry",
        "1310, RIGHT, finding.high.acid",
        "1310, OVER, finding.high.acid",
        "1309, LOW, ",
    })
    void oneCellAboveItsEvenNeighboursIsDryOrHadAcid(int high, Level level, String sentence) {
        List<CellReading> readings = new ArrayList<>();
        for (int i = 1; i <= 6; i++) {
            readings.add(cell(i, i == 2 ? high : 1280, false, i == 2, i == 2 ? level : Level.RIGHT, null));
        }
        Verdict verdict = judge(new Round(NOW, RoundState.FULL_CHARGE, Celsius.of(25), readings));
        assertThat(found(verdict, FindingCode.CELL_CONCENTRATED)
                        .map(f -> f.sentence().key())
                        .orElse(null))
                .isEqualTo(sentence);
        assertThat(found(verdict, FindingCode.BATTERY_UNEVEN))
                .as("what has a cause of its own is no unevenness")
                .isEqualTo(sentence == null ? found(verdict, FindingCode.BATTERY_UNEVEN) : java.util.Optional.empty());
    }

    /** Not where the others are uneven themselves. */
    @Test
    void aHighCellAmongUnevenOnesIsUnevenness() {
        Verdict verdict = judge(round(RoundState.FULL_CHARGE, 1310, 1280, 1255, 1280, 1280, 1280));
        assertThat(found(verdict, FindingCode.CELL_CONCENTRATED)).isEmpty();
    }

    private static Round rested(double... volts) {
        List<CellReading> readings = new ArrayList<>();
        for (int i = 0; i < volts.length; i++) {
            readings.add(new CellReading(
                    i + 1,
                    SpecificGravity.ofPoints(1280),
                    false,
                    false,
                    null,
                    volts[i] == 0 ? null : Volts.of(volts[i]),
                    false,
                    null,
                    null));
        }
        return new Round(NOW, RoundState.FULL_CHARGE, Celsius.of(25), readings);
    }

    /** Twice the Rulebook's 30 mV below the median: 60 mV. */
    @ParameterizedTest
    @CsvSource({"2.060, true", "2.061, false", "1.9, true"})
    void aCellThatRestsFarBelowTheOthersIsWeak(double volts, boolean weak) {
        Verdict verdict = judge(rested(2.12, 2.12, 2.12, volts, 2.12, 2.12));
        assertThat(found(verdict, FindingCode.CELL_WEAK)
                        .map(f -> f.cells().numbers())
                        .orElse(null))
                .isEqualTo(weak ? List.of(4) : null);
        if (weak) {
            Finding finding = found(verdict, FindingCode.CELL_WEAK).orElseThrow();
            assertThat(finding.next()).isEqualTo(NextStep.READ_CHARGE_VOLTS);
            assertThat(finding.evidence())
                    .isEqualTo(new Evidence.BelowAtRest(Volts.of(volts), (int) Math.round(2120 - 1000 * volts)));
        }
    }

    @Test
    void twoVoltagesMakeNoMedian() {
        assertThat(judge(rested(2.12, 2.0, 0, 0, 0, 0)).notJudged()).containsEntry("rest-volts", Missing.REST_VOLTAGES);
        assertThat(judge(rested(2.12, 2.12, 2.0, 0, 0, 0)).notJudged()).doesNotContainKey("rest-volts");
    }

    private static Round cold(int points, Integer celsius) {
        List<CellReading> readings = new ArrayList<>();
        for (int i = 1; i <= 6; i++) {
            readings.add(CellReading.gravity(i, points));
        }
        return new Round(NOW, RoundState.IN_SERVICE, celsius == null ? null : Celsius.of(celsius), readings);
    }

    /** A flat battery freezes at some −7 °C: frozen below it, told within five degrees above. */
    @ParameterizedTest
    @CsvSource({"1100, -20, STOP, NONE", "1100, -4, ACT, CHARGE", "1100, 5, , ", "1280, -25, , "})
    void aWeakColdBatteryFreezes(int points, int celsius, Severity severity, NextStep next) {
        Verdict verdict = judge(cold(points, celsius));
        Finding finding = found(verdict, FindingCode.BATTERY_FREEZING).orElse(null);
        assertThat(finding == null ? null : finding.severity()).isEqualTo(severity);
        assertThat(finding == null ? null : finding.next()).isEqualTo(next);
    }

    @Test
    void withoutATemperatureFreezingIsNotJudged() {
        assertThat(judge(cold(1100, null)).notJudged()).containsEntry("freezing", Missing.TEMPERATURES);
        assertThat(judge(round(RoundState.FULL_CHARGE)).notJudged()).containsEntry("freezing", Missing.GRAVITIES);
    }

    private static Round pack(int fortnightsAgo, int full, int fallen, int from, int to) {
        int[] points = new int[18];
        for (int i = 0; i < 18; i++) {
            boolean tapped = i + 1 >= from && i + 1 <= to;
            points[i] = full + (i + fortnightsAgo) % 2 - (tapped ? fallen : 0);
        }
        return round(fortnightsAgo(fortnightsAgo), RoundState.FULL_CHARGE, points);
    }

    /** Cells {@code from} to {@code to} fall by so many points a fortnight. */
    private static Verdict tapped(double perFortnight, int from, int to) {
        int full = BLOCKS.marks().scale().full().points();
        List<PastRound> past = new ArrayList<>();
        for (int i = 10; i >= 1; i--) {
            past.add(sound(pack(i, full, (int) Math.round(perFortnight * (10 - i)), from, to)));
        }
        PastRound latest = sound(pack(0, full, (int) Math.round(perFortnight * 10), from, to));
        return judge(BLOCKS, Rules.standard(), latest, past);
    }

    @ParameterizedTest
    @CsvSource({
        "1.5, 1, 6, 1, 2",
        "1.5, 16, 18, 6, 6",
        "1.5, 1, 3, 1, 1",
    })
    void wholeBlocksAtAnEndThatFallTogetherAreTapped(double fall, int from, int to, int firstBlock, int lastBlock) {
        Finding finding = found(tapped(fall, from, to), FindingCode.PACK_TAP).orElseThrow();
        assertThat(finding.cells().numbers())
                .hasSize(to - from + 1)
                .startsWith(from)
                .endsWith(to);
        assertThat(finding.sentence().arguments()).containsExactly(firstBlock, lastBlock);
        assertThat(finding.next()).isEqualTo(NextStep.MOVE_TAP);
    }

    /** In the middle, in half of the blocks, in part of a block, or not far enough: no tap. */
    @ParameterizedTest
    @CsvSource({"1.5, 7, 9", "1.5, 1, 9", "1.5, 1, 2", "0.2, 1, 6"})
    void whatDoesNotFallAsATapWouldIsNone(double fall, int from, int to) {
        assertThat(found(tapped(fall, from, to), FindingCode.PACK_TAP)).isEmpty();
    }

    @Test
    void aBatteryOfSingleCellsHasNoBlocksToTap() {
        List<PastRound> past = evenPast(8, 1280, 1280, 1280, 1280, 1280, 1280);
        Verdict verdict = judge(
                SIX, Rules.standard(), sound(round(RoundState.FULL_CHARGE, 1250, 1280, 1280, 1280, 1280, 1280)), past);
        assertThat(found(verdict, FindingCode.PACK_TAP)).isEmpty();
    }
}
