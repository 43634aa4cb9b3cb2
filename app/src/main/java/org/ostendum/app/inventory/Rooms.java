package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.CHARGER;
import static org.ostendum.app.db.jooq.Tables.MACHINE;
import static org.ostendum.app.db.jooq.Tables.ROOM;
import static org.ostendum.app.db.jooq.Tables.SLOT;
import static org.ostendum.app.db.jooq.Tables.STAND;

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
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Charger;
import org.ostendum.core.room.RoomPlan.ParkedMachine;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.springframework.stereotype.Repository;

/** The rooms of the site, their stands, slots and chargers. */
@Repository
public class Rooms {
    private final DSLContext sql;

    Rooms(DSLContext sql) {
        this.sql = sql;
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
        return plans(DSL.noCondition());
    }

    public Optional<RoomPlan> byCode(String code) {
        return plans(ROOM.CODE.eq(code)).stream().findFirst();
    }

    private List<RoomPlan> plans(Condition which) {
        Map<Long, List<Stand>> stands = stands(which);
        return sql.selectFrom(ROOM)
                .where(which)
                .orderBy(ROOM.CODE)
                .fetch(r -> new RoomPlan(
                        r.getId(),
                        r.getCode(),
                        r.getName(),
                        r.getWidthCm(),
                        r.getDepthCm(),
                        stands.getOrDefault(r.getId(), List.of())));
    }

    /** @return stands by the id of their room */
    private Map<Long, List<Stand>> stands(Condition which) {
        Map<Long, List<Slot>> slots = slots(which);
        Map<Long, List<Stand>> byRoom = new HashMap<>();
        sql.select(STAND.fields())
                .from(STAND)
                .join(ROOM)
                .on(ROOM.ID.eq(STAND.ROOM_ID))
                .where(which)
                .orderBy(STAND.Y_CM, STAND.X_CM)
                .forEach(r -> byRoom.computeIfAbsent(r.get(STAND.ROOM_ID), id -> new ArrayList<>())
                        .add(stand(r, slots.getOrDefault(r.get(STAND.ID), List.of()))));
        return byRoom;
    }

    private static Stand stand(Record r, List<Slot> slots) {
        return new Stand(
                r.get(STAND.ID),
                r.get(STAND.CODE),
                r.get(STAND.NAME),
                StandKind.valueOf(r.get(STAND.KIND)),
                r.get(STAND.X_CM),
                r.get(STAND.Y_CM),
                r.get(STAND.WIDTH_CM),
                r.get(STAND.DEPTH_CM),
                slots);
    }

    /** @return slots by the id of their stand */
    private Map<Long, List<Slot>> slots(Condition which) {
        Map<Long, List<Slot>> byStand = new HashMap<>();
        sql.select(SLOT.fields())
                .select(CHARGER.fields())
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
                .where(which)
                .orderBy(SLOT.STAND_ID, SLOT.NUMBER)
                .forEach(r -> byStand.computeIfAbsent(r.get(SLOT.STAND_ID), id -> new ArrayList<>())
                        .add(slot(r)));
        return byStand;
    }

    private static Slot slot(Record r) {
        @Nullable
        Charger charger = r.get(CHARGER.CODE) == null ? null : new Charger(r.get(CHARGER.ID), ChargerRow.sheet(r));
        @Nullable
        ParkedMachine machine = r.get(MACHINE.ID) == null
                ? null
                : new ParkedMachine(r.get(MACHINE.ID), r.get(MACHINE.CODE), r.get(MACHINE.NAME));
        return new Slot(r.get(SLOT.ID), r.get(SLOT.NUMBER), charger, machine);
    }

    public Optional<Charger> charger(String code) {
        return charger(CHARGER.CODE.eq(code));
    }

    /** @param id null for none */
    public Optional<Charger> charger(@Nullable Long id) {
        return id == null ? Optional.empty() : charger(CHARGER.ID.eq(id));
    }

    private Optional<Charger> charger(Condition which) {
        return sql.select(CHARGER.fields())
                .from(CHARGER)
                .where(which)
                .fetchOptional(r -> new Charger(r.get(CHARGER.ID), ChargerRow.sheet(r)));
    }

    /** @return id of the charger above a slot */
    public Optional<Long> chargerOver(@Nullable Long slotId) {
        return slotId == null
                ? Optional.empty()
                : sql.select(CHARGER.ID)
                        .from(CHARGER)
                        .where(CHARGER.SLOT_ID.eq(slotId))
                        .fetchOptional(CHARGER.ID);
    }

    /** @return slots in which neither a battery stands nor a machine parks */
    public List<FreeSlot> freeSlots() {
        return sql.select(SLOT.ID, SLOT.NUMBER, STAND.NAME, ROOM.NAME)
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
                .fetch(r -> new FreeSlot(
                        r.get(SLOT.ID), r.get(STAND.NAME) + " " + r.get(SLOT.NUMBER) + ", " + r.get(ROOM.NAME)));
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
        long standId = sql.insertInto(STAND)
                .set(STAND.ROOM_ID, roomId)
                .set(STAND.CODE, stand.code())
                .set(STAND.NAME, stand.name())
                .set(STAND.KIND, stand.kind().name())
                .set(STAND.X_CM, stand.xCm())
                .set(STAND.Y_CM, stand.yCm())
                .set(STAND.WIDTH_CM, stand.widthCm())
                .set(STAND.DEPTH_CM, stand.depthCm())
                .returningResult(STAND.ID)
                .fetchSingle()
                .value1();
        List<Long> slotIds = new ArrayList<>();
        for (int number = 1; number <= slots; number++) {
            slotIds.add(sql.insertInto(SLOT)
                    .set(SLOT.STAND_ID, standId)
                    .set(SLOT.NUMBER, (short) number)
                    .returningResult(SLOT.ID)
                    .fetchSingle()
                    .value1());
        }
        return slotIds;
    }

    /** @return its id */
    public long addCharger(long slotId, ChargerSheet sheet) {
        return sql.insertInto(CHARGER)
                .set(ChargerRow.row(sheet))
                .set(CHARGER.SLOT_ID, slotId)
                .returningResult(CHARGER.ID)
                .fetchSingle()
                .value1();
    }

    /** How often it has been changed; by it a change of what somebody else has changed meanwhile is known. */
    public int chargerVersion(long id) {
        return sql.select(CHARGER.VERSION)
                .from(CHARGER)
                .where(CHARGER.ID.eq(id))
                .fetchSingle()
                .value1();
    }

    /**
     * @param seen version that was shown; null for one never shown
     * @return whether it was changed: not where somebody else has changed it since
     */
    public boolean changeCharger(long id, @Nullable Integer seen, ChargerSheet sheet) {
        return sql.update(CHARGER)
                        .set(ChargerRow.row(sheet))
                        .set(CHARGER.VERSION, CHARGER.VERSION.plus(1))
                        .where(CHARGER.ID.eq(id).and(CHARGER.VERSION.eq(seen)))
                        .execute()
                == 1;
    }
}
