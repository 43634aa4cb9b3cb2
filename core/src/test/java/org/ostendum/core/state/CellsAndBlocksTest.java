package org.ostendum.core.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.state.Told.NOW;
import static org.ostendum.core.state.Told.hoursAgo;
import static org.ostendum.core.state.Told.nothing;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.alarm.BridgeAlarm;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.battery.UsualLayout;
import org.ostendum.core.event.BatteryEvent.BlocksMoved;
import org.ostendum.core.event.BatteryEvent.CellBridged;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.rulebook.Severity;

/** Cells pass through positions: a new one starts anew, a bridged one is left out, a moved block takes its past with it. */
class CellsAndBlocksTest {
    private static final Instant IN_TEN_DAYS = NOW.plus(Duration.ofDays(10));
    private static final BatteryModel PACK = new BatteryModel(
            "six blocks of 8 V",
            CellKind.FLOODED,
            Duty.DEEP_CYCLE,
            LayoutText.parse(UsualLayout.text(6, 2, 4), 4),
            AmpHours.of(170),
            24,
            GravityMarks.usualFor(Duty.DEEP_CYCLE));

    private static Told oneFarBelow() {
        return nothing()
                .worked(60, 150)
                .charged(48, 175)
                .read(40, RoundState.FULL_CHARGE, Level.RIGHT, 1285, 1285, 1285, 1225, 1285, 1285);
    }

    private static boolean finds(BatteryState state, int cell) {
        return state.findings().stream()
                .anyMatch(f -> f.finding().cells().numbers().contains(cell));
    }

    @Test
    void aBridgedCellIsOutOfItsBatteryEverywhere() {
        assertThat(finds(oneFarBelow().state(), 4)).as("the weak cell is found").isTrue();
        Told told = oneFarBelow()
                .and(new CellBridged(hoursAgo(30), 4, IN_TEN_DAYS))
                .worked(26, 150)
                .charged(14, 175)
                .read(6, RoundState.FULL_CHARGE, Level.RIGHT, 1285, 1285, 1285, 1100, 1285, 1285);
        BatteryState state = told.state();
        assertThat(state.cells().bridged()).containsExactly(java.util.Map.entry(4, IN_TEN_DAYS));
        assertThat(state.cells().atWork()).isEqualTo(5);
        assertThat(state.cellsToRenew())
                .as("that it is bridged repairs nothing")
                .containsExactly(4);
        assertThat(state.cells().nominalVolts()).isEqualTo(10);
        assertThat(finds(state, 4)).as("what it reads says nothing any more").isFalse();
        assertThat(state.findings()).noneMatch(f -> f.finding().code() == FindingCode.BATTERY_UNEVEN);
        assertThat(state.levels().byCell()).doesNotContainKey(4);
        assertThat(state.levels().platesCovered().isYes())
                .as("of those at work")
                .isTrue();
        assertThat(state.severity()).isEqualTo(Severity.WATCH);
    }

    @Test
    void theDateOfABridgeIsAskedForThenStopsAndRings() {
        Told told = oneFarBelow().and(new CellBridged(hoursAgo(30), 4, NOW.plus(Duration.ofDays(3))));
        assertThat(NextThings.of("T-1", told.state()))
                .anyMatch(n -> n.step() == NextStep.REPAIR_CELL && n.severity() == Severity.ACT);
        assertThat(BridgeAlarm.of("T-1", told.state())).isEmpty();

        BatteryState later = told.fold().at(NOW.plus(Duration.ofDays(4)), Surroundings.NOTHING);
        assertThat(later.cells().isBridgedTooLong()).isTrue();
        assertThat(later.severity()).isEqualTo(Severity.STOP);
        assertThat(BridgeAlarm.of("T-1", later)).isPresent();
    }

    @Test
    void aNewCellEndsTheBridge() {
        BatteryState state = oneFarBelow()
                .and(new CellBridged(hoursAgo(30), 4, IN_TEN_DAYS), new CellReplaced(hoursAgo(20), 4, "N-77"))
                .state();
        assertThat(state.cells().bridged()).isEmpty();
        assertThat(state.cells().atWork()).isEqualTo(6);
    }

    /** One cell falls week by week, and between the cells of a block no voltmeter comes. */
    @Test
    void ofAPackTheVoltsOfBlocksAreAskedFor() {
        int[] points = new int[24];
        Arrays.fill(points, 1275);
        points[1] = 1215;
        Told told = nothing().of(PACK);
        int last = 5;
        for (int week = 12; week >= last; week--) {
            points[1] = 1275 - 5 * (12 - week);
            told.worked(168 * week + 30, 80)
                    .charged(168 * week + 8, 95)
                    .read(168 * week + 4, RoundState.FULL_CHARGE, Level.RIGHT, points.clone());
        }
        assertThat(NextThings.of("G-1", told.fold().at(hoursAgo(168 * last), Surroundings.NOTHING)))
                .filteredOn(thing -> thing.step() == NextStep.READ_CHARGE_VOLTS)
                .extracting(thing -> thing.sentence().key())
                .containsExactly("next.READ_CHARGE_VOLTS.blocks");
    }

    /** Cells 1 to 4 are block 1; places 1 and 6 change. */
    @Test
    void aBlockGoesToItsNewPlaceWithItsReadings() {
        BlocksMoved swap = new BlocksMoved(hoursAgo(20), List.of(6, 2, 3, 4, 5, 1));
        assertThat(swap.now(1, 4)).isEqualTo(21);
        assertThat(swap.now(24, 4)).isEqualTo(4);
        assertThat(swap.now(9, 4)).isEqualTo(9);

        int[] points = new int[24];
        Arrays.fill(points, 1275);
        points[1] = 1200;
        Told told = nothing()
                .of(PACK)
                .worked(60, 80)
                .charged(48, 95)
                .read(40, RoundState.FULL_CHARGE, Level.RIGHT, points)
                .and(new CellReplaced(hoursAgo(38), 3, "N-1"));
        assertThat(finds(told.state(), 2)).isTrue();

        BatteryFold moved = told.and(swap).fold();
        BatteryState state = moved.at(NOW, Surroundings.NOTHING);
        assertThat(finds(state, 2)).isFalse();
        assertThat(finds(state, 22)).as("the weak cell is in place 22 now").isTrue();
        assertThat(state.cells().since(23)).contains(hoursAgo(38));
        assertThat(state.cells().since(3)).isEmpty();
        assertThat(state.cells().blocksMovedAt()).contains(hoursAgo(20));
        assertThat(state.cells().asTheyStand(moved.rounds().get(0)).round().readings())
                .filteredOn(r -> r.gravity() != null && r.gravity().points() == 1200)
                .extracting(CellReading::cell)
                .containsExactly(22);
    }

    /** The same whether folded at one go or resumed after the move with the rounds as they were written down. */
    @Test
    void aResumedFoldKnowsWhereTheBlocksWere() {
        int[] points = new int[24];
        Arrays.fill(points, 1275);
        points[1] = 1215;
        Told first = nothing()
                .of(PACK)
                .worked(90, 80)
                .charged(80, 95)
                .read(70, RoundState.FULL_CHARGE, Level.RIGHT, points)
                .and(new BlocksMoved(hoursAgo(60), List.of(6, 2, 3, 4, 5, 1)));
        BatteryFold before = first.fold();
        BatteryFold resumed = BatteryFold.resume(
                first.sheet(),
                java.time.ZoneOffset.UTC,
                before.snapshot(),
                before.rounds(),
                first.events().stream()
                        .filter(e -> !(e instanceof org.ostendum.core.event.BatteryEvent.RoundTaken))
                        .toList());
        int[] now = new int[24];
        Arrays.fill(now, 1275);
        now[21] = 1190;
        Told whole = first.worked(40, 80).charged(30, 95).read(20, RoundState.FULL_CHARGE, Level.RIGHT, now);
        whole.events().subList(4, whole.events().size()).forEach(resumed::fold);
        assertThat(resumed.snapshot()).isEqualTo(whole.fold().snapshot());
        assertThat(finds(whole.state(), 22)).isTrue();
    }
}
