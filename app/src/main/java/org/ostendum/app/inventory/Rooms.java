package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.CHARGER;
import static org.ostendum.app.db.jooq.Tables.MACHINE;
import static org.ostendum.app.db.jooq.Tables.ROOM;
import static org.ostendum.app.db.jooq.Tables.SLOT;
import static org.ostendum.app.db.jooq.Tables.STAND;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.jooq.tables.records.RoomRecord;
import org.ostendum.core.room.RoomAir;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.ParkedMachine;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.room.RoomPlan.Stand;
import org.springframework.stereotype.Repository;

/** The rooms of the site, their stands, slots and chargers. */
@Repository
public class Rooms {
    private static final org.ostendum.app.db.jooq.tables.Charger ON_BOARD = CHARGER.as("on_board_charger");

    private final DSLContext sql;
    private final Stands allStands;
    private final Places places;

    Rooms(DSLContext sql, Stands allStands, Places places) {
        this.sql = sql;
        this.allStands = allStands;
        this.places = places;
    }

    /** Name of a room for a list. */
    public record RoomName(long id, String code, String name, int widthCm, int depthCm) {}

    /** A place a battery or a machine can be put. */
    public record FreeSlot(long id, String place) {}

    public List<RoomName> names() {
        return sql.selectFrom(ROOM)
                .orderBy(ROOM.CODE)
                .fetch(r -> new RoomName(r.getId(), r.getCode(), r.getName(), r.getWidthCm(), r.getDepthCm()));
    }

    /** @return every room with all that stands in it */
    public List<RoomPlan> plans() {
        return plans(DSL.noCondition(), DSL.noCondition());
    }

    /** @return every room, of its places only those where a charger is: elsewhere hundreds of batteries may stand */
    public List<RoomPlan> ofChargers() {
        return plans(DSL.noCondition(), CHARGER.ID.isNotNull().or(ON_BOARD.ID.isNotNull()));
    }

    public Optional<RoomPlan> byCode(String code) {
        return plans(ROOM.CODE.eq(code), DSL.noCondition()).stream().findFirst();
    }

    private List<RoomPlan> plans(Condition which, Condition slots) {
        Map<Long, List<Stand>> stands = stands(which, slots(which.and(slots)));
        return sql.selectFrom(ROOM)
                .where(which)
                .orderBy(ROOM.CODE)
                .fetch(r -> new RoomPlan(
                        r.getId(),
                        r.getCode(),
                        r.getName(),
                        r.getWidthCm(),
                        r.getDepthCm(),
                        air(r),
                        stands.getOrDefault(r.getId(), List.of())));
    }

    /** @return stands by the id of their room */
    private Map<Long, List<Stand>> stands(Condition which, Map<Long, List<Slot>> slots) {
        Map<Long, List<Stand>> byRoom = new HashMap<>();
        sql.select(STAND.fields())
                .from(STAND)
                .join(ROOM)
                .on(ROOM.ID.eq(STAND.ROOM_ID))
                .where(which)
                .orderBy(STAND.Y_CM, STAND.X_CM)
                .forEach(r -> byRoom.computeIfAbsent(r.get(STAND.ROOM_ID), id -> new ArrayList<>())
                        .add(Stands.stand(r, slots.getOrDefault(r.get(STAND.ID), List.of()))));
        return byRoom;
    }

    /** @return slots by the id of their stand */
    private Map<Long, List<Slot>> slots(Condition which) {
        Map<Long, List<Slot>> byStand = new HashMap<>();
        sql.select(SLOT.fields())
                .select(CHARGER.fields())
                .select(ON_BOARD.fields())
                .select(MACHINE.ID, MACHINE.CODE, MACHINE.NAME)
                .from(SLOT)
                .join(STAND)
                .on(STAND.ID.eq(SLOT.STAND_ID))
                .join(ROOM)
                .on(ROOM.ID.eq(STAND.ROOM_ID))
                .leftJoin(CHARGER)
                .on(CHARGER.SLOT_ID.eq(SLOT.ID))
                .leftJoin(MACHINE)
                .on(MACHINE.SLOT_ID.eq(SLOT.ID))
                .leftJoin(ON_BOARD)
                .on(ON_BOARD.MACHINE_ID.eq(MACHINE.ID))
                .where(which)
                .orderBy(SLOT.STAND_ID, SLOT.NUMBER)
                .forEach(r -> byStand.computeIfAbsent(r.get(SLOT.STAND_ID), id -> new ArrayList<>())
                        .add(slot(r)));
        return byStand;
    }

    private static Slot slot(Record r) {
        Record over = r.into(CHARGER.fields());
        Record onBoard = r.into(ON_BOARD.fields());
        @Nullable
        ParkedMachine machine = r.get(MACHINE.ID) == null
                ? null
                : new ParkedMachine(
                        r.get(MACHINE.ID),
                        r.get(MACHINE.CODE),
                        r.get(MACHINE.NAME),
                        ChargerRow.charger(onBoard.into(CHARGER), r.get(MACHINE.CODE)));
        return new Slot(
                r.get(SLOT.ID),
                r.get(SLOT.NUMBER),
                r.get(SLOT.CODE),
                r.get(SLOT.TIER),
                ChargerRow.charger(over, null),
                machine);
    }

    /** @return slots in which neither a battery stands nor a machine parks */
    public List<FreeSlot> freeSlots() {
        return sql.select(SLOT.ID, SLOT.CODE, ROOM.NAME)
                .from(SLOT)
                .join(STAND)
                .on(STAND.ID.eq(SLOT.STAND_ID))
                .join(ROOM)
                .on(ROOM.ID.eq(STAND.ROOM_ID))
                .leftAntiJoin(BATTERY)
                .on(BATTERY.SLOT_ID.eq(SLOT.ID))
                .leftAntiJoin(MACHINE)
                .on(MACHINE.SLOT_ID.eq(SLOT.ID))
                .orderBy(ROOM.NAME, STAND.NAME, SLOT.NUMBER)
                .fetch(r -> new FreeSlot(r.get(SLOT.ID), r.get(SLOT.CODE) + ", " + r.get(ROOM.NAME)));
    }

    private static RoomAir air(RoomRecord r) {
        return new RoomAir(
                r.getHeightCm() == null ? null : (Double) (r.getHeightCm() / 100.0),
                r.getVolumeM3() == null ? null : (Double) r.getVolumeM3().doubleValue(),
                r.getFanM3H() == null ? null : (Double) (double) r.getFanM3H());
    }

    /** Keeps what is known of a room's air. */
    public void keepAir(long id, RoomAir air) {
        sql.update(ROOM)
                .set(
                        ROOM.HEIGHT_CM,
                        air.heightMetres() == null ? null : (Short) (short) Math.round(100 * air.heightMetres()))
                .set(ROOM.VOLUME_M3, air.cubicMetres() == null ? null : BigDecimal.valueOf(air.cubicMetres()))
                .set(
                        ROOM.FAN_M3_H,
                        air.fanCubicMetresPerHour() == null
                                ? null
                                : (Integer) (int) Math.round(air.fanCubicMetresPerHour()))
                .where(ROOM.ID.eq(id))
                .execute();
    }

    /** Gives it another name and floor; what stands in it stays where it is. */
    public void change(long id, String name, int widthCm, int depthCm) {
        sql.update(ROOM)
                .set(ROOM.NAME, name)
                .set(ROOM.WIDTH_CM, widthCm)
                .set(ROOM.DEPTH_CM, depthCm)
                .where(ROOM.ID.eq(id))
                .execute();
    }

    public long add(String code, String name, int widthCm, int depthCm) {
        return sql.insertInto(ROOM)
                .set(ROOM.CODE, code)
                .set(ROOM.NAME, name)
                .set(ROOM.WIDTH_CM, widthCm)
                .set(ROOM.DEPTH_CM, depthCm)
                .returningResult(ROOM.ID)
                .fetchSingle()
                .value1();
    }

    /** Adds a stand with its slots, numbered from 1; {@code stand.id()} and its slots are ignored. */
    public List<Long> addStand(long roomId, Stand stand, int slots) {
        long standId = allStands.add(roomId, stand);
        List<Long> slotIds = new ArrayList<>();
        for (int number = 1; number <= slots; number++) {
            slotIds.add(places.add(standId, number, places.freeCode(stand.name() + " " + number), 1));
        }
        return slotIds;
    }
}
