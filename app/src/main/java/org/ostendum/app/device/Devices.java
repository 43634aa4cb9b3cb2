package org.ostendum.app.device;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.CHARGER;
import static org.ostendum.app.db.jooq.Tables.DEVICE;
import static org.ostendum.app.db.jooq.Tables.ROOM;

import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.device.Address;
import org.springframework.stereotype.Repository;

/** Which devices there are, what they belong to and where they are heard. */
@Repository
public class Devices {
    private final DSLContext sql;

    Devices(DSLContext sql) {
        this.sql = sql;
    }

    public List<Device> all() {
        return list(DSL.noCondition());
    }

    private List<Device> list(Condition which) {
        return sql.select(DEVICE.fields())
                .select(CHARGER.CODE, BATTERY.CODE, ROOM.NAME)
                .from(DEVICE)
                .leftJoin(CHARGER)
                .on(CHARGER.ID.eq(DEVICE.CHARGER_ID))
                .leftJoin(BATTERY)
                .on(BATTERY.ID.eq(DEVICE.BATTERY_ID))
                .leftJoin(ROOM)
                .on(ROOM.ID.eq(DEVICE.ROOM_ID))
                .where(which)
                .orderBy(DEVICE.ID)
                .fetch(Devices::device);
    }

    private static Device device(Record r) {
        @Nullable String code = r.get(CHARGER.CODE) == null ? r.get(BATTERY.CODE) : r.get(CHARGER.CODE);
        return new Device(
                r.get(DEVICE.ID),
                Device.Kind.valueOf(r.get(DEVICE.KIND)),
                r.get(DEVICE.HOST),
                r.get(DEVICE.PORT),
                new Address(r.get(DEVICE.UNIT), r.get(DEVICE.REGISTER_NO)),
                r.get(DEVICE.CHARGER_ID),
                r.get(DEVICE.BATTERY_ID),
                r.get(DEVICE.ROOM_ID),
                code == null ? r.get(ROOM.NAME) : code);
    }

    /** @param device its id is ignored */
    public void add(Device device) {
        sql.insertInto(DEVICE)
                .set(DEVICE.KIND, device.kind().name())
                .set(DEVICE.HOST, device.host())
                .set(DEVICE.PORT, device.port())
                .set(DEVICE.UNIT, (short) device.address().unit())
                .set(DEVICE.REGISTER_NO, device.address().register())
                .set(DEVICE.CHARGER_ID, device.chargerId())
                .set(DEVICE.BATTERY_ID, device.batteryId())
                .set(DEVICE.ROOM_ID, device.roomId())
                .execute();
    }

    public void remove(long id) {
        sql.deleteFrom(DEVICE).where(DEVICE.ID.eq(id)).execute();
    }

    public Optional<Device> ofCharger(long chargerId) {
        return list(DEVICE.CHARGER_ID.eq(chargerId)).stream().findFirst();
    }

    public Optional<Device> first(Device.Kind kind) {
        return list(DEVICE.KIND.eq(kind.name())).stream().findFirst();
    }
}
