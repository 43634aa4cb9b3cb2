package org.ostendum.app.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.ostendum.app.draw.Box;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.room.RoomAir;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Charger;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.ostendum.core.rulebook.Severity;

class RoomPlotterTest {
    private static List<Slot> slots(int count, boolean chargers) {
        return IntStream.rangeClosed(1, count)
                .mapToObj(n -> new Slot(
                        n,
                        n,
                        "Stand " + n,
                        1,
                        chargers ? new Charger(n, ChargerSheet.ofPlate("C" + n, 18, new Amperes(80)), null) : null,
                        null))
                .toList();
    }

    private static RoomDrawing plot(Stand... stands) {
        RoomPlan plan = new RoomPlan(1, "r", "Room", 2000, 1500, RoomAir.UNKNOWN, List.of(stands));
        return RoomPlotter.plot(
                plan,
                880,
                (slot, box, plate) -> new Tile(box, null, null, Severity.FIT, "free", false, plate, slot.number()),
                (slot, charger) -> new RoomPlotter.ChargerSays(charger.code(), false));
    }

    private static Stand stand(StandKind kind, int x, int y, int width, int depth, List<Slot> slots) {
        return new Stand(1, "s", "Stand", kind, x, y, width, depth, slots);
    }

    @Test
    void centimetresBecomeTheDrawingsUnits() {
        RoomDrawing drawing = plot(stand(StandKind.STAND, 100, 200, 1000, 300, slots(5, false)));
        double scale = (880 - 16) / 2000.0;
        Box box = drawing.stands().get(0).box();
        assertThat(drawing.width()).isEqualTo(880, within(0.1));
        assertThat(box.x()).isEqualTo(8 + 100 * scale, within(0.1));
        assertThat(box.y()).isEqualTo(8 + 200 * scale, within(0.1));
        assertThat(box.width()).isEqualTo(1000 * scale, within(0.1));
    }

    @Test
    void slotsLieSideBySideInsideTheirStandUnderTheirChargers() {
        StandDrawing stand = plot(stand(StandKind.STAND, 100, 200, 1000, 300, slots(5, true)))
                .stands()
                .get(0);
        assertThat(stand.tiles()).hasSize(5);
        for (int i = 0; i < 5; i++) {
            Tile tile = stand.tiles().get(i);
            assertThat(tile.box().x()).isGreaterThanOrEqualTo(stand.box().x() - 0.1);
            assertThat(tile.box().right()).isLessThanOrEqualTo(stand.box().right() + 0.2);
            assertThat(tile.box().bottom()).isLessThanOrEqualTo(stand.box().bottom() + 0.2);
            assertThat(tile.charger().box().bottom()).isEqualTo(tile.box().y(), within(0.2));
            if (i > 0) {
                assertThat(stand.tiles().get(i - 1).box().right())
                        .isLessThan(tile.box().x());
            }
        }
    }

    @Test
    void aDeepStandHasItsSlotsBehindEachOther() {
        StandDrawing batteryStates = plot(stand(StandKind.BENCH, 0, 0, 300, 1000, slots(4, false)))
                .stands()
                .get(0);
        for (int i = 1; i < 4; i++) {
            assertThat(batteryStates.tiles().get(i - 1).box().bottom())
                    .isLessThan(batteryStates.tiles().get(i).box().y());
            assertThat(batteryStates.tiles().get(i).box().x())
                    .isEqualTo(batteryStates.tiles().get(0).box().x());
        }
    }

    @Test
    void whatStandsAtTheDoorStandsOutsideTheWalls() {
        RoomDrawing drawing = plot(
                stand(StandKind.STAND, 0, 0, 1000, 300, slots(2, false)),
                stand(StandKind.DOOR, 0, 1200, 1000, 250, slots(2, false)));
        assertThat(drawing.walls().bottom())
                .isLessThan(drawing.stands().get(1).box().y());
        assertThat(drawing.height()).isGreaterThan(drawing.stands().get(1).box().bottom());
    }
}
