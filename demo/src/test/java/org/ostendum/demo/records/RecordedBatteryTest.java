package org.ostendum.demo.records;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Judge;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;

class RecordedBatteryTest {
    private static final BatteryModel MODEL = new BatteryModel(
            "m",
            CellKind.FLOODED,
            Duty.MOTIVE,
            TrayPattern.ROWS_FROM_LEFT.layout(3, 6),
            AmpHours.of(600),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));
    private static final Habits HABITS = new Habits(5, 0.7, 14, 12, 30);
    private static final Instant START = Instant.parse("2025-06-01T06:00:00Z");

    private static Life live(long seed, Story... stories) {
        return RecordedBattery.live(MODEL, HABITS, List.of(stories), START, 364, seed);
    }

    private static Verdict judged(Life life) {
        List<PastRound> rounds =
                life.rounds().stream().map(r -> new PastRound(r, List.of())).toList();
        return Judge.judge(new Case(
                MODEL,
                Rules.standard(),
                ZoneOffset.UTC,
                rounds.get(rounds.size() - 1),
                rounds.subList(0, rounds.size() - 1)));
    }

    @Test
    void theSameSeedLivesTheSameLife() {
        assertThat(live(7)).isEqualTo(live(7)).isNotEqualTo(live(8));
    }

    @Test
    void aYearHasItsRoundsChargesAndWater() {
        Life life = live(1);
        assertThat(life.rounds()).hasSizeBetween(20, 30);
        assertThat(life.happenings()).isSortedAccordingTo((a, b) -> a.at().compareTo(b.at()));
        assertThat(life.happenings().stream()
                        .filter(h -> h.kind() == Happening.Kind.CHARGE_END)
                        .count())
                .isBetween(250L, 265L);
    }

    @Test
    void healthyBatteriesAreSeldomAccused() {
        long accused = IntStream.range(0, 60)
                .filter(seed -> judged(live(seed)).severity().compareTo(Severity.ACT) >= 0)
                .count();
        assertThat(accused).isLessThanOrEqualTo(2);
    }

    @Test
    void plantedStoriesAreFound() {
        Map<Story, FindingCode> stories = Map.of(
                new Story.FailingCell(9, 150, 12), FindingCode.CELL_WEAK,
                new Story.NotEqualised(160), FindingCode.BATTERY_UNEVEN,
                new Story.Undercharged(320, 28), FindingCode.BATTERY_UNDERCHARGED,
                new Story.PlatesShowing(4), FindingCode.CELL_DRY,
                new Story.Overfilled(3), FindingCode.CELL_OVERFILLED,
                new Story.Turned(7, Colour.BROWN), FindingCode.CELL_COLOUR,
                new Story.SlipOfTheKey(12, -90), FindingCode.READING_IMPOSSIBLE);
        stories.forEach((story, code) -> assertThat(judged(live(3, story)).findings())
                .as(story.toString())
                .extracting(Finding::code)
                .contains(code));
    }
}
