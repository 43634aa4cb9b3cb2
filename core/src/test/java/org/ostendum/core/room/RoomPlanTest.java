package org.ostendum.core.room;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.room.RoomPlan.Charger;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;

class RoomPlanTest {
    @Test
    void aRoomKnowsItsSlotsItsChargersAndItsAir() {
        Charger charger = new Charger(5, ChargerSheet.ofPlate("C1", 18, new Amperes(80)), null);
        Stand stand = new Stand(
                1,
                "A",
                "Stand A",
                StandKind.STAND,
                0,
                0,
                300,
                100,
                List.of(new Slot(1, 1, "Stand A 1", 1, charger, null), new Slot(2, 2, "Stand A 2", 1, null, null)));
        RoomPlan room = new RoomPlan(1, "main", "Main", 1000, 500, RoomAir.UNKNOWN, List.of(stand));
        assertThat(room.slots()).hasSize(2);
        assertThat(room.chargers()).containsExactly(charger);
        assertThat(charger.code()).isEqualTo("C1");
        assertThat(charger.cells()).isEqualTo(18);
        assertThat(charger.amps()).isEqualTo(80);
        assertThat(room.cubicMetres()).isEqualTo(10 * 5 * 4);
    }
}
