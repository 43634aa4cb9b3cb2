package org.ostendum.core.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.state.Told.hoursAgo;

import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.battery.UsualLayout;
import org.ostendum.core.event.BatteryEvent.BlocksMoved;
import org.ostendum.core.event.BatteryEvent.CellBridged;
import org.ostendum.core.event.BatteryEvent.CellMarked;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.state.Told;

class CellPastsTest {
    private static final BatteryModel PACK = new BatteryModel(
            "three blocks of 6 V",
            CellKind.FLOODED,
            Duty.DEEP_CYCLE,
            LayoutText.parse(UsualLayout.text(3, 1, 3), 3),
            AmpHours.of(200),
            9,
            GravityMarks.usualFor(Duty.DEEP_CYCLE));

    private static int[] nine(int cell, int points) {
        int[] all = new int[9];
        Arrays.fill(all, 1275);
        all[cell - 1] = points;
        return all;
    }

    private static List<CellPast> of(Told told) {
        return CellPasts.of(told.sheet(), told.events());
    }

    /** A block bears one mark, and takes it along to its new place; the new cell in its place has its own. */
    @Test
    void aCellThatCameWithTheBatteryGetsItsMarkWhenSomebodyReadsIt() {
        List<CellPast> pasts = of(Told.nothing()
                .of(PACK)
                .and(new CellMarked(hoursAgo(100), 2, "B-1", "K4"))
                .and(new CellMarked(hoursAgo(90), 3, "B-1a", null))
                .and(new BlocksMoved(hoursAgo(80), List.of(3, 2, 1)))
                .and(new CellReplaced(hoursAgo(40), 8, "N-8")));
        assertThat(pasts.get(6).mark()).isEqualTo("B-1a");
        assertThat(pasts.get(6).dateCode()).isEqualTo("K4");
        assertThat(pasts.get(7).mark()).isEqualTo("N-8");
        assertThat(pasts.get(7).dateCode()).isNull();
        assertThat(pasts.get(9).dateCode()).as("the one that went out").isEqualTo("K4");
        assertThat(pasts.get(0).mark()).isNull();
    }

    @Test
    void everyPositionHasItsCellFromTheBeginning() {
        List<CellPast> pasts = of(Told.nothing().of(PACK));
        assertThat(pasts).hasSize(9).allMatch(CellPast::isIn);
        assertThat(pasts).extracting(CellPast::position).containsExactly(1, 2, 3, 4, 5, 6, 7, 8, 9);
        assertThat(pasts.get(0).installed()).isNull();
        assertThat(pasts.get(0).below()).isEmpty();
    }

    /** The weak cell of block 1 goes to place 3, is read there, and is renewed there. */
    @Test
    void aCellIsFollowedPastItsMoveAndItsSuccessorStartsAnew() {
        List<CellPast> pasts = of(Told.nothing()
                .of(PACK)
                .read(100, RoundState.FULL_CHARGE, nine(2, 1255))
                .read(95, RoundState.IN_SERVICE, nine(2, 1100))
                .and(new BlocksMoved(hoursAgo(80), List.of(3, 2, 1)))
                .read(60, RoundState.FULL_CHARGE, nine(8, 1245))
                .and(new CellReplaced(hoursAgo(40), 8, "N-8"))
                .read(20, RoundState.FULL_CHARGE, nine(8, 1280)));
        assertThat(pasts).hasSize(10);
        CellPast now = pasts.get(7);
        assertThat(now.mark()).isEqualTo("N-8");
        assertThat(now.course().marks()).hasSize(1);
        assertThat(now.below()).contains(-5);

        CellPast old = pasts.get(9);
        assertThat(old.removed()).isEqualTo(hoursAgo(40));
        assertThat(old.stays()).extracting(CellPast.Stay::position).containsExactly(2, 8);
        assertThat(old.course().marks()).as("full charges alone").hasSize(2);
        assertThat(old.below()).contains(30);

        CellPast other = pasts.get(1);
        assertThat(other.stays()).extracting(CellPast.Stay::position).containsExactly(8, 2);
    }

    @Test
    void aBridgeIsToldUntilTheCellGoesOut() {
        Told told = Told.nothing().of(PACK).and(new CellBridged(hoursAgo(9), 4, Told.NOW.plus(Duration.ofDays(3))));
        assertThat(of(told).get(3).bridged()).isEqualTo(Told.NOW.plus(Duration.ofDays(3)));
        List<CellPast> after = of(told.and(new CellReplaced(hoursAgo(2), 4, null)));
        assertThat(after).allMatch(cell -> cell.bridged() == null);
        assertThat(after.get(9).removed()).isNotNull();
    }
}
