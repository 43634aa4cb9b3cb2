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
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.HottestOfCharge;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;

/** What the judge reads from the log between the rounds: heat, water, ampere-hours. */
class LogQuestionsTest {
    private static final Round EVEN = round(RoundState.FULL_CHARGE, 1280, 1281, 1280, 1279, 1281, 1280);

    private static Verdict judge(Round latest, List<BatteryEvent> events) {
        return Judge.judge(
                new Case(SIX, Rules.standard(), ZoneOffset.UTC, sound(latest), List.of(), new EventLog(events)));
    }

    private static Instant daysAgo(double days) {
        return NOW.minus(Duration.ofMinutes(Math.round(days * 24 * 60)));
    }

    private static HottestOfCharge peak(double daysAgo, int celsius) {
        return new HottestOfCharge(daysAgo(daysAgo), Celsius.of(celsius));
    }

    /** Above 49 °C twice within thirty days is a finding; once, at the limit or long ago is none. */
    @ParameterizedTest
    @CsvSource({
        "50, 5, 51, 20, true",
        "49, 5, 51, 20, false",
        "50, 5, 51, 31, false",
        "50, 29, 50, 29.5, true",
        "35, 5, 36, 20, false"
    })
    void hotTwiceOfLateIsTheChargerOrTheBattery(int first, double firstAgo, int second, double secondAgo, boolean hot) {
        Verdict verdict = judge(EVEN, List.of(peak(firstAgo, first), peak(secondAgo, second), peak(3, 30)));
        assertThat(found(verdict, FindingCode.BATTERY_HOT).isPresent()).isEqualTo(hot);
        assertThat(verdict.notJudged()).doesNotContainKey("hot-battery");
        if (hot) {
            Finding finding = found(verdict, FindingCode.BATTERY_HOT).orElseThrow();
            assertThat(finding.severity()).isEqualTo(Severity.ACT);
            assertThat(finding.next()).isEqualTo(NextStep.COOL);
            assertThat(finding.evidence()).isEqualTo(new Evidence.HotOnCharge(Celsius.of(Math.max(first, second)), 2));
        }
    }

    @Test
    void withoutTemperaturesOfChargesHeatIsNotJudged() {
        assertThat(judge(EVEN, List.of()).notJudged()).containsEntry("hot-battery", Missing.TEMPERATURES);
    }

    /** Read at the limit it is stopped at once, whatever came before. */
    @ParameterizedTest
    @CsvSource({"49, true", "55, true", "48.9, false"})
    void hotNowIsStopped(double celsius, boolean stop) {
        Round hot = new Round(NOW, RoundState.FULL_CHARGE, Celsius.of(celsius), EVEN.readings());
        Verdict verdict = judge(hot, List.of());
        assertThat(found(verdict, FindingCode.BATTERY_HOT)
                        .map(Finding::severity)
                        .orElse(null))
                .isEqualTo(stop ? Severity.STOP : null);
    }

    /** Shifts of 150 Ah each working day, watered every two weeks with so many times what a right charge splits. */
    private static List<BatteryEvent> watered(int days, IntToDoubleFunction timesByDaysAgo) {
        List<BatteryEvent> events = new ArrayList<>();
        // 14 shifts of 150 Ah at 12 % overcharge: 252 Ah, six cells, 0.336 g of water each Ah.
        double expected = 14 * 150 * 0.12 * 6 * 0.336;
        for (int day = days; day >= 1; day--) {
            events.add(new Worked(daysAgo(day), AmpHours.of(150)));
            if (day % 14 == 1) {
                events.add(new Watered(
                        daysAgo(day - 0.5),
                        Millilitres.of(Math.round(expected * timesByDaysAgo.applyAsDouble(day))),
                        null,
                        Fill.TO_MARK));
            }
        }
        return events;
    }

    @ParameterizedTest
    @CsvSource({"1.0, false", "1.4, false", "1.6, true", "2.5, true"})
    void aBatteryThatDrinksMoreThanItsChargesSplitIsOvercharged(double times, boolean thirsty) {
        Verdict verdict = judge(EVEN, watered(75, day -> times));
        assertThat(found(verdict, FindingCode.BATTERY_THIRSTY).isPresent()).isEqualTo(thirsty);
        if (thirsty) {
            Finding finding = found(verdict, FindingCode.BATTERY_THIRSTY).orElseThrow();
            assertThat(finding.next()).isEqualTo(NextStep.CHECK_CHARGER);
            assertThat(((Integer) finding.sentence().arguments().get(0)).doubleValue() / 100)
                    .isCloseTo(times, org.assertj.core.data.Offset.offset(0.08));
        }
    }

    /** What it has always drunk is no news, unless it was too much from the beginning. */
    @ParameterizedTest
    @CsvSource({"1.3, 1.6, false", "1.3, 2.1, true", "1.0, 1.6, true", "2.5, 2.5, true"})
    void thirstIsMeasuredAgainstTheBatterysOwnBeginning(double before, double now, boolean thirsty) {
        Verdict verdict = judge(EVEN, watered(300, day -> day > 100 ? before : now));
        assertThat(found(verdict, FindingCode.BATTERY_THIRSTY).isPresent()).isEqualTo(thirsty);
    }

    @Test
    void equalisingExplainsWater() {
        List<BatteryEvent> events = watered(75, day -> 1.6);
        for (int day = 70; day > 3; day -= 4) {
            events.add(new Equalised(daysAgo(day), Duration.ofHours(3)));
        }
        assertThat(found(judge(EVEN, events), FindingCode.BATTERY_THIRSTY)).isEmpty();
    }

    @Test
    void withoutShiftsOrWaterOnRecordThirstIsNotJudged() {
        assertThat(judge(EVEN, List.of()).notJudged()).containsEntry("thirsty-battery", Missing.AMP_HOURS);
        List<BatteryEvent> dry = watered(75, day -> 0);
        assertThat(judge(EVEN, dry).notJudged()).containsEntry("thirsty-battery", Missing.WATER_ON_RECORD);
        assertThat(judge(EVEN, watered(30, day -> 2)).notJudged())
                .containsEntry("thirsty-battery", Missing.WATER_ON_RECORD);
    }

    /** Shifts that end at the same ampere-hours now, and went deeper once. */
    private static List<BatteryEvent> shifts(int days, IntToDoubleFunction ampHoursByDaysAgo) {
        List<BatteryEvent> events = new ArrayList<>();
        for (int day = days; day >= 1; day--) {
            events.add(new Worked(daysAgo(day), AmpHours.of(ampHoursByDaysAgo.applyAsDouble(day))));
        }
        return events;
    }

    /** Half of the days go as deep as the battery lets them. */
    private static double worked(int day, double ceiling) {
        return day % 2 == 0 ? ceiling : ceiling * (0.5 + 0.04 * (day % 10));
    }

    @ParameterizedTest
    @CsvSource({"200, 170, true", "200, 176, true", "200, 180, false", "200, 200, false", "200, 220, false"})
    void wornPlatesMakeACeiling(double before, double now, boolean worn) {
        Verdict verdict = judge(EVEN, shifts(400, day -> worked(day, day > 60 ? before : now)));
        assertThat(found(verdict, FindingCode.BATTERY_WORN).isPresent()).isEqualTo(worn);
        if (worn) {
            Finding finding = found(verdict, FindingCode.BATTERY_WORN).orElseThrow();
            assertThat(finding.next()).isEqualTo(NextStep.TEST_CAPACITY);
            assertThat(finding.evidence())
                    .isInstanceOfSatisfying(Evidence.Ceiling.class, ceiling -> assertThat(ceiling.ceilingAmpHours())
                            .isEqualTo((int) now));
        }
    }

    @Test
    void aLighterSeasonHasNoCeiling() {
        Verdict verdict = judge(EVEN, shifts(400, day -> day > 60 ? worked(day, 200) : 60 + 7.0 * (day % 15)));
        assertThat(found(verdict, FindingCode.BATTERY_WORN)).isEmpty();
        assertThat(verdict.notJudged()).doesNotContainKey("worn-battery");
    }

    @Test
    void aCeilingNeedsShiftsThenAndNow() {
        assertThat(judge(EVEN, shifts(19, day -> 150)).notJudged()).containsEntry("worn-battery", Missing.AMP_HOURS);
        assertThat(judge(EVEN, shifts(160, day -> 150)).notJudged()).containsEntry("worn-battery", Missing.MORE_ROUNDS);
    }

    private static PastRound levels(int weeksAgo, Level... levels) {
        List<CellReading> readings = new ArrayList<>();
        for (int i = 0; i < levels.length; i++) {
            readings.add(Cases.cell(i + 1, 1280, false, false, levels[i], null));
        }
        return sound(
                new Round(NOW.minus(Duration.ofDays(7L * weeksAgo)), RoundState.FULL_CHARGE, Celsius.of(25), readings));
    }

    private static final Level R = Level.RIGHT;

    private static Verdict judgeLevels(List<PastRound> rounds) {
        PastRound latest = rounds.get(rounds.size() - 1);
        return Cases.judge(SIX, Rules.standard(), latest, rounds.subList(0, rounds.size() - 1));
    }

    @ParameterizedTest
    @CsvSource({"3, true", "2, false"})
    void oneCellLowAgainAndAgainDrinksAlone(int times, boolean thirsty) {
        List<PastRound> rounds = new ArrayList<>();
        for (int week = 5; week >= 0; week--) {
            Level third = week < times ? (week == 1 ? Level.EXPOSED : Level.LOW) : R;
            rounds.add(levels(week, R, R, third, R, R, R));
        }
        Verdict verdict = judgeLevels(rounds);
        assertThat(found(verdict, FindingCode.CELL_THIRSTY)
                        .map(f -> f.cells().numbers())
                        .orElse(null))
                .isEqualTo(thirsty ? List.of(3) : null);
    }

    /**
     * Low less often than that may be chance; low, and stronger each time by what its acid was left behind in, is not. Of rounds
     * months apart fewer have to show it.
     */
    @ParameterizedTest
    @CsvSource({
        "14, 8, 2, true", "14, 4, 2, false", "14, 2, 2, false", "14, -8, 2, false", "14, 8, 1, false",
        "90, 8, 2, true", "90, 4, 2, true", "90, 2, 2, false", "90, 8, 1, true", "90, 7, 1, false"
    })
    void oneCellLowAndStrongerWhenItWasDrinksAlone(int days, int points, int times, boolean thirsty) {
        List<PastRound> rounds = new ArrayList<>();
        for (int before = 5; before >= 0; before--) {
            boolean low = before < times;
            List<CellReading> readings = new ArrayList<>();
            for (int cell = 1; cell <= 6; cell++) {
                boolean own = cell == 3 && low;
                readings.add(Cases.cell(cell, own ? 1280 + points : 1280, false, false, own ? Level.LOW : R, null));
            }
            rounds.add(sound(new Round(
                    NOW.minus(Duration.ofDays((long) days * before)),
                    RoundState.FULL_CHARGE,
                    Celsius.of(25),
                    readings)));
        }
        Optional<Finding> finding = found(judgeLevels(rounds), FindingCode.CELL_THIRSTY);
        assertThat(finding.isPresent()).isEqualTo(thirsty);
        finding.ifPresent(
                f -> assertThat(f.why().arguments()).containsExactly(times, 6, new GravityDifference(10 * points)));
    }

    /** Where many are low together it was not watered. */
    @Test
    void manyLowTogetherSayNothingOfOne() {
        List<PastRound> rounds = new ArrayList<>();
        for (int week = 5; week >= 0; week--) {
            rounds.add(levels(week, Level.LOW, R, Level.LOW, R, R, R));
        }
        assertThat(found(judgeLevels(rounds), FindingCode.CELL_THIRSTY)).isEmpty();
    }

    @Test
    void withoutLevelsNoCellIsThirsty() {
        assertThat(judge(EVEN, List.of()).notJudged()).containsEntry("thirsty-cells", Missing.LEVELS);
    }
}
