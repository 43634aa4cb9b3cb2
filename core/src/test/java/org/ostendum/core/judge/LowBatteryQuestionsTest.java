package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.judge.Cases.NOW;
import static org.ostendum.core.judge.Cases.SIX;
import static org.ostendum.core.judge.Cases.found;
import static org.ostendum.core.judge.Cases.round;
import static org.ostendum.core.judge.Cases.sound;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;

/** A battery that reads low as a whole after its charge: too little charge, layered acid, or sulfate. */
class LowBatteryQuestionsTest {
    private final List<PastRound> rounds = new ArrayList<>();
    private final List<BatteryEvent> events = new ArrayList<>();

    private static Instant daysAgo(double days) {
        return NOW.minus(Duration.ofMinutes(Math.round(days * 24 * 60)));
    }

    private void read(int daysAgo, RoundState state, int points) {
        rounds.add(sound(round(daysAgo(daysAgo), state, points, points + 1, points, points - 1, points + 1, points)));
    }

    /** Cells read on charge, so many volts each. */
    private void readOnCharge(int daysAgo, int points, double volts) {
        List<CellReading> readings = new ArrayList<>();
        for (int cell = 1; cell <= 6; cell++) {
            readings.add(new CellReading(
                    cell, SpecificGravity.ofPoints(points), false, false, null, Volts.of(volts), true, null, null));
        }
        rounds.add(sound(new Round(daysAgo(daysAgo), RoundState.FULL_CHARGE, Celsius.of(25), readings)));
    }

    /** Every day of the last month 150 Ah out, and so much of it back. */
    private void returns(double part) {
        for (int day = 29; day >= 1; day--) {
            events.add(new Worked(daysAgo(day), AmpHours.of(150)));
            events.add(ChargeEnded.unstated(daysAgo(day - 0.5), AmpHours.of(150 * part)));
        }
    }

    private Verdict judge() {
        PastRound latest = rounds.remove(rounds.size() - 1);
        return Judge.judge(new Case(SIX, Rules.standard(), ZoneOffset.UTC, latest, rounds, new EventLog(events)));
    }

    /** Less than 105 % back explains all: it is the charger. */
    @ParameterizedTest
    @CsvSource({"1.00, CHECK_CHARGER", "1.04, CHECK_CHARGER", "1.06, EQUALISE", "1.12, EQUALISE"})
    void tooLittlePutBackIsToldFromWhatNobodyKnows(double part, NextStep next) {
        returns(part);
        read(14, RoundState.FULL_CHARGE, 1255);
        read(0, RoundState.FULL_CHARGE, 1255);
        assertThat(found(judge(), FindingCode.BATTERY_UNDERCHARGED)
                        .orElseThrow()
                        .next())
                .isEqualTo(next);
    }

    /** Too little charge is not said where enough is on record to have been put back. */
    @ParameterizedTest
    @CsvSource({"1.12, finding.undercharged.unsure-charged", "0, finding.undercharged.unsure"})
    void whatIsOnRecordIsNotSaidToBeOpen(double part, String sentence) {
        if (part > 0) {
            returns(part);
        }
        read(14, RoundState.FULL_CHARGE, 1255);
        read(0, RoundState.FULL_CHARGE, 1255);
        assertThat(found(judge(), FindingCode.BATTERY_UNDERCHARGED)
                        .orElseThrow()
                        .sentence()
                        .key())
                .isEqualTo(sentence);
    }

    /** Of layers one thing is said: not beside them that it may be sulfate, nor that enough was put back where nobody knows. */
    @ParameterizedTest
    @CsvSource({"1.12, finding.stratified.why", "0, finding.stratified.unlogged.why"})
    void layersAreToldByWhatIsOnRecord(double part, String why) {
        if (part > 0) {
            returns(part);
        }
        fortnights(1255, 1282, 8);
        Verdict verdict = judge();
        assertThat(found(verdict, FindingCode.BATTERY_STRATIFIED)
                        .orElseThrow()
                        .why()
                        .key())
                .isEqualTo(why);
        assertThat(verdict.findings())
                .extracting(finding -> finding.sentence().key())
                .noneMatch(key -> key.contains("unsure"));
    }

    /** Down bit by bit, and by equalising back to where it was each time: layers that grow, and no sulfate, low for long or since today. */
    @ParameterizedTest
    @CsvSource({"1290, 1.5", "1283, 0.52"})
    void whatEqualisingBringsBackIsNotCalledSulfateByItsCourse(int full, double aRound) {
        returns(1.12);
        for (int i = 1; i <= 3; i++) {
            events.add(new Equalised(daysAgo(30 * i + 3), Duration.ofHours(4)));
        }
        for (int i = 30; i >= 0; i--) {
            boolean after = i % 3 == 1;
            int below = (int) Math.round(Math.max(0, 26 - i) * aRound);
            read(14 * i, after ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE, full - (after ? i % 2 : below));
        }
        assertThat(judge().findings()).extracting(Finding::code).containsExactly(FindingCode.BATTERY_STRATIFIED);
    }

    /**
     * Sulfate of a simulated life, mostly read after equalising (E): in its few ordinary rounds (F) alone it looks like a step, in all of
     * them together it goes on.
     */
    @Test
    void whatFallsInOrdinaryAndInEqualisedRoundsAlikeIsNoStep() {
        returns(1.12);
        String days =
                "203E1276 225E1280 247E1276 270F1271 291E1276 312F1271 336E1277 357F1271 381F1277 402E1276 425F1266 448F1274 "
                        + "473F1271 491E1273 518F1269 535E1269 560F1261 581F1261 602E1268 624E1261 646E1258 672F1260";
        for (String day : days.split(" ")) {
            String[] parts = day.split("[EF]");
            boolean after = day.contains("E");
            read(
                    672 - Integer.parseInt(parts[0]),
                    after ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE,
                    Integer.parseInt(parts[1]));
        }
        assertThat(found(judge(), FindingCode.BATTERY_STRATIFIED)).isEmpty();
    }

    /** Every other fortnight's round follows an equalising charge. */
    private void fortnights(int ordinary, int equalised, int rounds) {
        for (int i = rounds; i >= 0; i--) {
            boolean after = i % 2 == 1;
            read(14 * i, after ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE, after ? equalised : ordinary);
        }
    }

    @Test
    void whatAnEqualisingChargeLiftsLiesInLayers() {
        returns(1.12);
        fortnights(1255, 1282, 8);
        Verdict verdict = judge();
        Finding finding = found(verdict, FindingCode.BATTERY_STRATIFIED).orElseThrow();
        assertThat(finding.next()).isEqualTo(NextStep.EQUALISE);
        assertThat(found(verdict, FindingCode.BATTERY_UNDERCHARGED)).isEmpty();
        assertThat(found(verdict, FindingCode.BATTERY_SULFATED)).isEmpty();
    }

    /** Where nobody logs ampere-hours the same rise may be charge as well. */
    @Test
    void withoutAmpereHoursARiseMayBeCharge() {
        fortnights(1255, 1282, 8);
        Verdict verdict = judge();
        assertThat(found(verdict, FindingCode.BATTERY_UNDERCHARGED)
                        .orElseThrow()
                        .next())
                .isEqualTo(NextStep.CHECK_CHARGER);
    }

    @Test
    void whatNothingLiftsIsSulfate() {
        returns(1.12);
        fortnights(1255, 1256, 8);
        Verdict verdict = judge();
        Finding finding = found(verdict, FindingCode.BATTERY_SULFATED).orElseThrow();
        assertThat(finding.next()).isEqualTo(NextStep.LONG_CHARGE);
        assertThat(finding.sentence().key()).contains("sulfated");
    }

    /** With too few rounds after equalising nothing is said of layers. */
    @Test
    void layersNeedRoundsAfterEqualising() {
        read(14, RoundState.FULL_CHARGE, 1255);
        read(0, RoundState.FULL_CHARGE, 1255);
        assertThat(judge().notJudged()).containsEntry("layered-acid", Missing.ROUND_AFTER_EQUALISE);
    }

    @Test
    void aBatteryThatReachesItsWindowIsNotLayeredByASmallRise() {
        returns(1.12);
        fortnights(1280, 1283, 8);
        Verdict verdict = judge();
        assertThat(verdict.findings()).isEmpty();
        assertThat(verdict.notJudged()).doesNotContainKey("layered-acid");
    }

    /** Low now, and full after the equalise of last week, though enough was put back: it lies between. */
    @Test
    void aSteepDropSinceAnEqualiseTellsByItself() {
        returns(1.12);
        for (int i = 10; i >= 2; i--) {
            read(14 * i, RoundState.FULL_CHARGE, 1280);
        }
        read(8, RoundState.AFTER_EQUALISE, 1282);
        read(0, RoundState.FULL_CHARGE, 1252);
        assertThat(found(judge(), FindingCode.BATTERY_STRATIFIED)).isPresent();
    }

    /** On charge a sulfated battery shows more volts than it used to, an undercharged one less. */
    @ParameterizedTest
    @CsvSource({"2.62, 2.70, SULFATED", "2.62, 2.55, UNDERCHARGED", "2.62, 2.38, UNDERCHARGED"})
    void theVoltsOnChargeTellSulfateFromWantOfCharge(double before, double now, String cause) {
        returns(1.12);
        for (int i = 8; i >= 3; i--) {
            readOnCharge(14 * i, 1280, before);
        }
        for (int i = 2; i >= 0; i--) {
            readOnCharge(14 * i, 1255, now);
        }
        Verdict verdict = judge();
        assertThat(found(verdict, FindingCode.valueOf("BATTERY_" + cause)))
                .as(verdict.toString())
                .isPresent();
    }

    /** That enough was put back is on record: few volts on charge do not unsay it. */
    @ParameterizedTest
    @CsvSource({"1.12, unsure-charged", "1.00, after-charge"})
    void whatIsOnRecordToBePutBackStandsAgainstFewVolts(double part, String sentence) {
        returns(part);
        for (int i = 8; i >= 0; i--) {
            readOnCharge(14 * i, i < 3 ? 1255 : 1280, i < 3 ? 2.38 : 2.62);
        }
        assertThat(found(judge(), FindingCode.BATTERY_UNDERCHARGED)
                        .orElseThrow()
                        .sentence()
                        .key())
                .endsWith("." + sentence);
    }

    /** Young sulfate comes up at an equalising charge as layers do; its volts on charge give it away. */
    @ParameterizedTest
    @CsvSource({"2.62, BATTERY_STRATIFIED", "2.70, BATTERY_SULFATED"})
    void whatTheVoltsCallSulfateLiesInNoLayers(double now, FindingCode code) {
        returns(1.12);
        for (int i = 8; i >= 0; i--) {
            readOnCharge(28 * i, 1255, i < 4 ? now : 2.62);
            if (i > 0) {
                read(28 * i - 14, RoundState.AFTER_EQUALISE, 1282);
            }
        }
        Verdict verdict = judge();
        List<FindingCode> low = verdict.findings().stream()
                .map(Finding::code)
                .filter(found -> found.code().startsWith("battery."))
                .toList();
        assertThat(low).containsExactly(code);
    }

    /** Sulfate too lets an equalising charge lift the readings a little; but what it lifts them to comes down with each month. */
    @Test
    void whatEqualisingBringsUpLessEachTimeIsSulfateAndLiesInNoLayers() {
        returns(1.12);
        for (int i = 17; i >= 0; i--) {
            int hardened = 3 * (17 - i);
            boolean after = i % 2 == 1;
            read(
                    14 * i,
                    after ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE,
                    1290 - hardened - (after ? 0 : 12));
        }
        Verdict verdict = judge();
        assertThat(found(verdict, FindingCode.BATTERY_STRATIFIED)).isEmpty();
        assertThat(found(verdict, FindingCode.BATTERY_UNDERCHARGED))
                .as("low all the same")
                .isPresent();
    }

    /** Ordinary rounds each fortnight; so many points below 1.290 by rounds ago. */
    private void course(IntUnaryOperator below) {
        for (int i = 30; i >= 0; i--) {
            // Readings never agree to the point.
            read(14 * i, RoundState.FULL_CHARGE, 1290 - below.applyAsInt(i) - i % 3);
        }
    }

    /** Layers come within days and stay; nobody need have read it after equalising to see that. */
    @Test
    void whatCameDownAtOnceAndStaysThereLiesInLayers() {
        returns(1.12);
        course(ago -> ago > 12 ? 0 : 25);
        Finding finding = found(judge(), FindingCode.BATTERY_STRATIFIED).orElseThrow();
        assertThat(finding.why().key()).isEqualTo("finding.stratified.step.why");
        assertThat(finding.next()).isEqualTo(NextStep.EQUALISE);
    }

    /** Four rounds before a step are a year where one is taken each quarter, and two months of chance where one is taken each fortnight. */
    @ParameterizedTest
    @CsvSource({"90, BATTERY_STRATIFIED", "14, BATTERY_UNDERCHARGED"})
    void whereRoundsLieMonthsApartFourBeforeAStepAreEnough(int apart, FindingCode code) {
        returns(1.12);
        for (int i = 11; i >= 0; i--) {
            read(apart * i, RoundState.FULL_CHARGE, (i > 7 ? 1290 : 1265) - i % 3);
        }
        assertThat(judge().findings()).extracting(Finding::code).containsExactly(code);
    }

    /** The same course where nobody logs ampere-hours: a charger that ends early looks so too. */
    @Test
    void withoutAmpereHoursAStepIsToldAsTooLittleCharge() {
        course(ago -> ago > 12 ? 0 : 25);
        Verdict verdict = judge();
        assertThat(found(verdict, FindingCode.BATTERY_STRATIFIED)).isEmpty();
        assertThat(found(verdict, FindingCode.BATTERY_UNDERCHARGED)
                        .orElseThrow()
                        .next())
                .isEqualTo(NextStep.CHECK_CHARGER);
    }

    /** Weeks ago it could still be the beginning of a slope. */
    @Test
    void aStepOfLateIsNotToldYet() {
        returns(1.12);
        course(ago -> ago > 4 ? 0 : 25);
        Verdict verdict = judge();
        assertThat(found(verdict, FindingCode.BATTERY_STRATIFIED)).isEmpty();
        assertThat(found(verdict, FindingCode.BATTERY_UNDERCHARGED)).isPresent();
    }

    /**
     * Bit by bit, though it is equalised and not too little is known to be put back: sulfate; where nobody equalises it may be anything.
     */
    @ParameterizedTest
    @CsvSource({
        "1.12, 3, BATTERY_SULFATED",
        "1.12, 0, BATTERY_UNDERCHARGED",
        "1.00, 3, BATTERY_UNDERCHARGED",
        "0, 3, BATTERY_SULFATED",
        "0, 0, BATTERY_UNDERCHARGED"
    })
    void whatComesDownBitByBitInSpiteOfEqualisingIsSulfate(double part, int equalised, FindingCode code) {
        if (part > 0) {
            returns(part);
        }
        for (int i = 1; i <= equalised; i++) {
            events.add(new Equalised(daysAgo(30 * i + 3), Duration.ofHours(4)));
        }
        course(ago -> Math.max(0, 26 - ago) * 3 / 2);
        Verdict verdict = judge();
        assertThat(verdict.findings()).extracting(Finding::code).containsExactly(code);
    }

    /** That enough was put back is said only of what is on record. */
    @ParameterizedTest
    @CsvSource({"1.12, finding.undercharged.growing.why", "0, finding.undercharged.growing.unlogged.why"})
    void whatGrowsIsToldByWhatIsOnRecord(double part, String why) {
        if (part > 0) {
            returns(part);
        }
        for (int i = 1; i <= 3; i++) {
            events.add(new Equalised(daysAgo(30 * i + 3), Duration.ofHours(4)));
        }
        course(ago -> Math.max(0, 26 - ago) * 3 / 2);
        assertThat(found(judge(), FindingCode.BATTERY_SULFATED)
                        .orElseThrow()
                        .why()
                        .key())
                .isEqualTo(why);
    }

    @Test
    void whatEqualisingDoesNotLiftIsNotSentToBeEqualisedAgain() {
        fortnights(1255, 1256, 8);
        Finding finding = found(judge(), FindingCode.BATTERY_UNDERCHARGED).orElseThrow();
        assertThat(finding.sentence().key()).isEqualTo("finding.undercharged.unlifted");
        assertThat(finding.next()).isEqualTo(NextStep.CHECK_CHARGER);
    }

    /** Where nobody logs ampere-hours, what equalising does not lift may want charge all the same; what goes on falling is sulfate. */
    @ParameterizedTest
    @CsvSource({"0, BATTERY_UNDERCHARGED", "1, BATTERY_SULFATED"})
    void withoutAmpereHoursSulfateIsToldByItsCourse(int aRound, FindingCode code) {
        for (int i = 20; i >= 0; i--) {
            read(14 * i, i % 2 == 1 ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE, 1262 - aRound * (20 - i));
        }
        assertThat(judge().findings()).extracting(Finding::code).containsExactly(code);
    }

    private void readUnmixed(int daysAgo, int points) {
        rounds.add(new PastRound(
                round(daysAgo(daysAgo), RoundState.FULL_CHARGE, points, points, points, points, points, points),
                List.of(Doubt.AFTER_WATER)));
    }

    /** A charger that stops too soon never lets the water mix in: then no round at all can be relied on, and that tells it. */
    @Test
    void waterThatNeverMixesInIsNoReasonToBeSilent() {
        returns(1.00);
        for (int daysAgo : List.of(42, 28, 14, 0)) {
            readUnmixed(daysAgo, 1205);
        }
        Finding finding = found(judge(), FindingCode.BATTERY_UNDERCHARGED).orElseThrow();
        assertThat(finding.sentence().key()).isEqualTo("finding.undercharged.never-mixed");
        assertThat(finding.why().arguments()).contains(100, 105);
        assertThat(finding.next()).isEqualTo(NextStep.CHECK_CHARGER);
    }

    /** Enough put back, a full reading, or a single round too soon after water say nothing of the charger. */
    @ParameterizedTest
    @CsvSource({"1.12, 1205, 4", "1.00, 1280, 4", "1.00, 1205, 1"})
    void waterThatMayStillMixInSaysNothing(double part, int points, int unmixed) {
        returns(part);
        for (int i = 3; i >= 0; i--) {
            if (i < unmixed) {
                readUnmixed(14 * i, points);
            } else {
                read(14 * i, RoundState.FULL_CHARGE, 1281);
            }
        }
        Verdict verdict = judge();
        assertThat(found(verdict, FindingCode.BATTERY_UNDERCHARGED)).isEmpty();
        assertThat(verdict.notJudged()).containsEntry("full-window", Missing.RELIABLE_ROUND);
    }
}
