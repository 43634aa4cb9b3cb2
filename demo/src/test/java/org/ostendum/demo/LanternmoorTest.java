package org.ostendum.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.BatteryEvent.RoundTaken;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.measure.Round;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.StandingFinding;
import org.ostendum.core.state.Surroundings;
import org.ostendum.core.state.fact.Sheet;
import org.ostendum.demo.Lanternmoor.OneBattery;
import org.ostendum.demo.lives.Ending;
import org.ostendum.demo.lives.LivedYear;
import org.ostendum.demo.lives.Year;

/** The lives of the demo's batteries, and what the judge makes of them. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class LanternmoorTest {
    private static final Instant FIRST_MORNING = Instant.parse("2025-11-20T06:00:00Z");
    private static final int DAYS = 364;

    private final Map<String, Year> years = new HashMap<>();
    private final Map<String, BatteryState> states = new HashMap<>();

    private static BatteryModel model(OneBattery one) {
        return LanternmoorModels.ALL.stream()
                .filter(m -> m.code().equals(one.model()))
                .findFirst()
                .orElseThrow()
                .model();
    }

    private static Year live(OneBattery one, long seed) {
        return LivedYear.of(model(one), one.habits(), one.faults(), one.endings(), FIRST_MORNING, DAYS, seed);
    }

    @BeforeAll
    void live() {
        long seed = DemoData.SEED;
        for (OneBattery one : Lanternmoor.batteries()) {
            Year year = live(one, seed++);
            List<BatteryEvent> all = new ArrayList<>(year.events());
            year.rounds().forEach(round -> all.add(new RoundTaken(round)));
            years.put(one.code(), year);
            states.put(
                    one.code(),
                    BatteryFold.of(new Sheet(model(one), Rules.standard()), ZoneOffset.UTC, all)
                            .at(last(year).takenAt(), Surroundings.NOTHING));
        }
    }

    private static Round last(Year year) {
        return year.rounds().get(year.rounds().size() - 1);
    }

    @ParameterizedTest
    @CsvSource({
        "T-07, CELL_WEAK, STOP, REPAIR_CELL",
        "T-11, CELL_WEAK, WATCH, READ_CHARGE_VOLTS",
        "T-04, BATTERY_UNEVEN, ACT, EQUALISE",
        "T-16, BATTERY_UNDERCHARGED, ACT, CHECK_CHARGER",
        "T-20, CELL_DRY, WATCH, WATER",
        "T-22, CELL_DRY, STOP, COVER_PLATES",
        "T-26, CELL_COLOUR, ACT, TEST_CAPACITY",
        "T-05, READING_IMPOSSIBLE, WATCH, READ_AGAIN",
        "T-09, READING_UNRELIABLE, WATCH, CHARGE",
        "G-03, CELL_DRY, WATCH, WATER",
        "G-06, CELL_WEAK, STOP, REPAIR_CELL",
        "G-09, CELL_OVERFILLED, ACT, DRAW_OFF",
        "G-12, BATTERY_UNEVEN, ACT, EQUALISE",
        "P-5, BATTERY_UNDERCHARGED, ACT, CHARGE",
        "A-3, BATTERY_UNDERCHARGED, ACT, CHECK_CHARGER",
    })
    void eachStoryIsFound(String code, FindingCode finding, Severity severity, NextStep next) {
        assertThat(states.get(code).findings())
                .as(code)
                .filteredOn(f -> f.finding().code() == finding)
                .extracting(StandingFinding::severity, f -> f.finding().next())
                .contains(org.assertj.core.groups.Tuple.tuple(severity, next));
    }

    @Test
    void theCellThatWillMatterHasItsDate() {
        assertThat(states.get("T-11").verdict().firstForecast()).isPresent();
    }

    @Test
    void nobodyElseIsAccused() {
        List<String> accused = Lanternmoor.batteries().stream()
                .filter(one -> !one.hasStory())
                .map(OneBattery::code)
                .filter(code -> states.get(code).severity().compareTo(Severity.ACT) >= 0)
                .toList();
        assertThat(accused).isEmpty();
    }

    @Test
    void aYearHasItsWorkChargesWaterAndRounds() {
        Year year = years.get("T-03");
        assertThat(year.rounds()).hasSizeBetween(20, 35);
        assertThat(year.events()).isSortedAccordingTo((a, b) -> a.at().compareTo(b.at()));
        assertThat(of(year, Worked.class)).hasSizeBetween(240, 290);
        assertThat(of(year, Watered.class)).hasSizeBetween(20, 45);
        assertThat(of(year, ChargeStarted.class)).hasSameSizeAs(of(year, ChargeEnded.class));
        for (int i = 0; i < of(year, ChargeEnded.class).size(); i++) {
            Duration lasted = Duration.between(
                    of(year, ChargeStarted.class).get(i).at(),
                    of(year, ChargeEnded.class).get(i).at());
            assertThat(lasted).isBetween(Duration.ofHours(1), Duration.ofHours(17));
        }
    }

    private static <E extends BatteryEvent> List<E> of(Year year, Class<E> kind) {
        return year.events().stream().filter(kind::isInstance).map(kind::cast).toList();
    }

    @Test
    void theLastRoundFallsOnTheLastDayOrSoLongBeforeAsItWasForgotten() {
        Instant lastMorning = FIRST_MORNING.plus(Duration.ofDays(DAYS - 1));
        Instant midnight = lastMorning.plus(Duration.ofHours(18));
        assertThat(Lanternmoor.batteries())
                .filteredOn(one -> one.endings().stream().noneMatch(Ending.Forgotten.class::isInstance))
                .extracting(one -> last(years.get(one.code())).takenAt())
                .as("whoever starts the demo just after midnight has no round ahead of him")
                .allMatch(at -> !at.isBefore(midnight.minus(Duration.ofDays(1))) && at.isBefore(midnight));
        assertThat(last(years.get("T-28")).takenAt()).isBefore(lastMorning.minus(Duration.ofDays(40)));
        Year forgotten = years.get("T-28");
        assertThat(forgotten.events().get(forgotten.events().size() - 1).at())
                .as("it went on working")
                .isAfter(lastMorning.minus(Duration.ofDays(1)));
    }

    @Test
    void theSameSeedLivesTheSameLife() {
        OneBattery one = Lanternmoor.batteries().get(0);
        assertThat(live(one, 7)).isEqualTo(live(one, 7)).isNotEqualTo(live(one, 8));
    }
}
