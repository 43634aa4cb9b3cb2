package org.ostendum.app.setup;

import static org.ostendum.app.form.Checked.given;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;
import org.ostendum.core.room.RoomAir;
import org.ostendum.core.room.RoomPlan;

/**
 * A room that is there already, as typed; its floor in cm.
 *
 * @param height m
 * @param volume m³, for one that is no box
 * @param fan m³ an hour
 */
record RoomAirForm(
        @Needed @Text(max = 80) String roomName,
        @Needed @Within(min = "100", max = "20000") @Nullable Integer roomWidth,
        @Needed @Within(min = "100", max = "20000") @Nullable Integer roomDepth,
        @Within(min = "2", max = "40") @Nullable Double height,
        @Within(min = "1", max = "1000000") @Nullable Double volume,
        @Within(min = "0", max = "1000000") @Nullable Double fan) {

    static RoomAirForm of(RoomPlan room) {
        RoomAir air = room.air();
        return new RoomAirForm(
                room.name(),
                room.widthCm(),
                room.depthCm(),
                air.heightMetres(),
                air.cubicMetres(),
                air.fanCubicMetresPerHour());
    }

    RoomAir air() {
        return new RoomAir(height, volume, fan);
    }

    int width() {
        return given(roomWidth);
    }

    int depth() {
        return given(roomDepth);
    }
}
