package org.ostendum.core.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.ostendum.core.state.Told.NOW;
import static org.ostendum.core.state.Told.hoursAgo;
import static org.ostendum.core.state.Told.nothing;

import java.time.Duration;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.event.BatteryEvent.CellBridged;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.BatteryEvent.DrewOff;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.LevelRead;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.Ending;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.measure.Level;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.fact.CellLevel;
import org.ostendum.core.state.fact.CellLevel.Basis;

/** Levels as far as they are known: seen, poured, drawn off, and what charges make of them. The mark is at 25 mm. */
class WaterAndLevelsTest {
    private static LevelRead[] levels(double hoursAgo) {
        return IntStream.rangeClosed(1, 6)
                .mapToObj(cell -> new LevelRead(hoursAgo(hoursAgo), cell, 2))
                .toArray(LevelRead[]::new);
    }

    /** Seen right in every cell that works it has its next day, though one cell is bridged. */
    @Test
    void aBridgedCellIsNotMissedWhenAllOthersWereLookedInto() {
        Told seen = nothing()
                .looked(200, Level.RIGHT, Level.RIGHT, Level.RIGHT, Level.RIGHT, Level.RIGHT, Level.RIGHT)
                .and(new CellBridged(hoursAgo(100), 4, hoursAgo(-300)));
        assertThat(seen.state().waterDue()).isNotNull();
    }

    /** What is poured goes into the cells that work; a bridged one uses nothing and is asked for by nobody. */
    @Test
    void aBridgedCellTakesNoPartInTheWater() {
        CellBridged bridge = new CellBridged(hoursAgo(300), 4, hoursAgo(-300));
        Told seen = nothing().and(bridge).and(levels(200));
        assertThat(seen.state().levels().byCell()).hasSize(5);
        Told low = nothing().and(bridge).and(levels(200)).watered(5, 100);
        Told whole = nothing().and(levels(200)).watered(5, 100);
        double before = seen.state().levels().byCell().get(1).highMm();
        double ofFive = low.state().levels().byCell().get(1).highMm() - before;
        double ofSix = whole.state().levels().byCell().get(1).highMm() - before;
        assertThat(ofSix).isPositive();
        assertThat(ofFive).isCloseTo(ofSix * 6 / 5, within(0.01));
        assertThat(low.state().levels().byCell()).doesNotContainKey(4);
    }

    private static final Level R = Level.RIGHT;

    @ParameterizedTest
    @CsvSource({
        "EXPOSED, true, false, true, NO",
        "LOW, false, false, true, YES",
        "RIGHT, false, false, false, YES",
        "OVER, false, true, false, YES"
    })
    void whatWasSeenIsKnown(Level seen, boolean bare, boolean over, boolean low, Answer covered) {
        BatteryState state = nothing().looked(2, R, R, seen, R, R, R).state();
        assertThat(state.levels().bare()).isEqualTo(bare ? List.of(3) : List.of());
        assertThat(state.levels().over()).isEqualTo(over ? List.of(3) : List.of());
        assertThat(state.levels().low()).isEqualTo(low ? List.of(3) : List.of());
        assertThat(state.levels().platesCovered()).isEqualTo(covered);
        assertThat(state.severity()).isEqualTo(bare ? Severity.STOP : state.severity());
        assertThat(state.levels().byCell().get(3).basis()).isEqualTo(Basis.SEEN);
    }

    @Test
    void whatNobodyLookedIntoIsUnknown() {
        assertThat(nothing().looked(2, R, R, R).state().levels().platesCovered())
                .isEqualTo(Answer.UNKNOWN);
        assertThat(nothing().state().levels().platesCovered()).isEqualTo(Answer.UNKNOWN);
        assertThat(nothing().state().waterDue()).isNull();
    }

    @ParameterizedTest
    @CsvSource({"-3, true, true", "3, false, true", "5.2, false, true", "20, false, false", "29, false, false"})
    void aMeasuredLevelIsKnownToAMillimetre(double millimetres, boolean bare, boolean low) {
        BatteryState state =
                nothing().and(new LevelRead(hoursAgo(3), 2, millimetres)).state();
        assertThat(state.levels().bare()).isEqualTo(bare ? List.of(2) : List.of());
        assertThat(state.levels().low()).isEqualTo(low ? List.of(2) : List.of());
        assertThat(state.levels().over()).isEqualTo(millimetres > 28 ? List.of(2) : List.of());
        assertThat(state.levels().byCell().get(2).highMm()
                        - state.levels().byCell().get(2).lowMm())
                .isCloseTo(2, within(1e-9));
    }

    @Test
    void wateredToTheMarkEveryCellStandsThere() {
        BatteryState state = nothing()
                .looked(5, Level.EXPOSED, R, Level.LOW, R, R, R)
                .watered(2, 0)
                .state();
        assertThat(state.levels().low()).isEmpty();
        assertThat(state.levels().bare()).isEmpty();
        assertThat(state.levels().byCell().values()).allSatisfy(level -> {
            assertThat(level.basis()).isEqualTo(Basis.POURED);
            assertThat(level.lowMm()).isBetween(20.0, 25.0);
            assertThat(level.highMm()).isBetween(25.0, 28.0);
        });
        assertThat(state.water().watered()).isEqualTo(hoursAgo(2));
        assertThat(state.mixed()).isEqualTo(Answer.NO);
    }

    /** A litre and a half in six cells lifts each by some 35 mm; a few drops lift a dry cell hardly. */
    @Test
    void aFigureSaysHowFarItWent() {
        assertThat(nothing()
                        .looked(5, Level.LOW, R, R, R, R, R)
                        .watered(2, 1500)
                        .state()
                        .levels()
                        .low())
                .isEmpty();
        assertThat(nothing()
                        .looked(5, Level.EXPOSED, R, R, R, R, R)
                        .watered(2, 6)
                        .state()
                        .levels()
                        .low())
                .contains(1);
    }

    @Test
    void oneCellWateredLeavesTheOthers() {
        BatteryState state = nothing()
                .looked(5, Level.LOW, Level.LOW, R, R, R, R)
                .and(new Watered(hoursAgo(2), new Millilitres(200), 1, Fill.TO_MARK))
                .state();
        assertThat(state.levels().low()).containsExactly(2);
    }

    /** Just covered before the charge it is to be filled after it; a cell that was covered gets none. */
    @Test
    void platesJustCoveredWantWaterStill() {
        BatteryState state = nothing()
                .looked(5, Level.EXPOSED, R, R, R, R, R)
                .watered(2, 300, Fill.COVERED)
                .state();
        assertThat(state.levels().bare()).isEmpty();
        assertThat(state.levels().platesCovered()).isEqualTo(Answer.YES);
        assertThat(state.levels().low()).containsExactly(1);
        assertThat(state.levels().byCell().get(1).basis()).isEqualTo(Basis.COVERED);
        assertThat(state.levels().byCell().get(2).basis()).isEqualTo(Basis.SEEN);
    }

    @ParameterizedTest
    @CsvSource({"1, '4'", "4, '1'", ", ''"})
    void drawnOffACellStandsAtItsMark(Integer cell, String stillOver) {
        BatteryState state = nothing()
                .looked(5, Level.OVER, R, R, Level.OVER, R, R)
                .and(new DrewOff(hoursAgo(2), null, cell))
                .state();
        assertThat(state.levels().over())
                .isEqualTo(stillOver.isEmpty() ? List.of() : List.of(Integer.valueOf(stillOver)));
        assertThat(state.levels().byCell().get(2).basis())
                .as("a cell that was right stays")
                .isEqualTo(Basis.SEEN);
    }

    @Test
    void pouredOnACellOverItsMarkItStaysOver() {
        BatteryState state =
                nothing().looked(5, Level.OVER, R, R, R, R, R).watered(2, 100).state();
        assertThat(state.levels().over()).containsExactly(1);
    }

    /** Overcharge splits water: 60 Ah too much lower each cell by some 2.8 mm, an old battery's by twice that. */
    @Test
    void chargesUseWaterUp() {
        Told filled = nothing().watered(100, 0).worked(90, 100).charged(80, 160);
        CellLevel after = filled.state().levels().byCell().get(1);
        CellLevel before = nothing().watered(100, 0).state().levels().byCell().get(1);
        double used = 0.336 * 60 / (0.6 * 300 / 25);
        assertThat(before.lowMm() - after.lowMm()).isCloseTo(2 * used, within(0.05));
        assertThat(filled.state().water().gassed()).isCloseTo(60, within(0.01));
    }

    @Test
    void aChargeEndedEarlyHasHardlyGassed() {
        BatteryState state = nothing()
                .watered(100, 0)
                .worked(90, 0)
                .ended(80, Ending.ENDED_EARLY, null)
                .state();
        assertThat(state.water().gassed()).isZero();
        assertThat(state.mixed()).isEqualTo(Answer.NO);
    }

    /** So much overcharge mixes it; nobody knows where nothing is on record. */
    @Test
    void waterIsMixedByAChargeThatGasses() {
        assertThat(nothing()
                        .watered(100, 0)
                        .worked(90, 150)
                        .charged(80, 190)
                        .state()
                        .mixed())
                .isEqualTo(Answer.YES);
        assertThat(nothing()
                        .watered(100, 0)
                        .worked(90, 150)
                        .charged(80, 150)
                        .state()
                        .mixed())
                .isNotEqualTo(Answer.YES);
        assertThat(nothing().watered(100, 0).equalised(80).state().mixed()).isEqualTo(Answer.YES);
    }

    @Test
    void ofANewCellNoLevelIsKnown() {
        BatteryState state = nothing()
                .looked(5, Level.LOW, R, R, R, R, R)
                .and(new CellReplaced(hoursAgo(2), 1, "new"))
                .state();
        assertThat(state.levels().byCell()).doesNotContainKey(1);
        assertThat(state.levels().low()).isEmpty();
        assertThat(state.cells().since(1)).contains(hoursAgo(2));
    }

    /** Four waterings tell that it drinks little; a car in a row is watered on the row's day all the same. */
    @ParameterizedTest
    @CsvSource({"MOTIVE, RECORD", "DEEP_CYCLE, RULE"})
    void aSlowDrinkerWaitsUnlessItIsACar(Duty duty, WaterDue.Basis basis) {
        WaterDue due = nothing()
                .of(new BatteryModel(
                        "six",
                        CellKind.FLOODED,
                        duty,
                        Told.SIX.layout(),
                        AmpHours.of(300),
                        6,
                        GravityMarks.usualFor(duty)))
                .watered(24 * 62, 200)
                .watered(24 * 42, 200)
                .watered(24 * 22, 200)
                .watered(24 * 2, 200)
                .state()
                .waterDue();
        assertThat(due.basis()).isEqualTo(basis);
        assertThat(due.lasts().toDays()).satisfies(days -> {
            if (basis == WaterDue.Basis.RULE) {
                assertThat(days).isEqualTo(7);
            } else {
                assertThat(days).isGreaterThan(30);
            }
        });
    }

    /** What is low now goes before the calendar; all seen right is as good as filled. */
    @Test
    void waterIsDueByWhatWasSeenThenByTheRule() {
        WaterDue now = nothing().looked(2, Level.LOW, R, R, R, R, R).state().waterDue();
        assertThat(now.basis()).isEqualTo(WaterDue.Basis.LEVELS);
        assertThat(now.isDue(NOW)).isTrue();

        WaterDue byRule = nothing().watered(24 * 10, 900).state().waterDue();
        assertThat(byRule.basis()).isEqualTo(WaterDue.Basis.RULE);
        assertThat(byRule.at()).isEqualTo(hoursAgo(24 * 10).plus(Duration.ofDays(14)));
        assertThat(byRule.isDue(NOW)).isFalse();
        assertThat(nothing().watered(24 * 15, 900).state().waterDue().isDue(NOW))
                .isTrue();

        WaterDue seen = nothing()
                .watered(24 * 15, 900)
                .looked(24 * 3, R, R, R, R, R, R)
                .state()
                .waterDue();
        assertThat(seen.from()).isEqualTo(hoursAgo(24 * 3));
    }
}
