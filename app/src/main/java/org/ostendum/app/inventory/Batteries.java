package org.ostendum.app.inventory;

import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.replace;
import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.BATTERY_MODEL;
import static org.ostendum.app.db.jooq.Tables.MACHINE;
import static org.ostendum.app.db.jooq.Tables.PACK_LAYOUT;
import static org.ostendum.app.db.jooq.Tables.PERSON;
import static org.ostendum.app.db.jooq.Tables.ROOM;
import static org.ostendum.app.db.jooq.Tables.SLOT;
import static org.ostendum.app.db.jooq.Tables.STAND;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.SelectOnConditionStep;
import org.jooq.SelectSelectStep;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.battery.LayoutText;
import org.springframework.stereotype.Repository;

/** The batteries of the site. */
@Repository
public class Batteries {
    private static final Field<String> PLACE = coalesce(MACHINE.CODE, SLOT.CODE);
    private static final int FOUND_AT_MOST = 12;
    /** What is of a battery itself, not of its model. */
    private static final List<Field<?>> OWN = List.of(
            BATTERY.ID,
            BATTERY.CODE,
            BATTERY.SERIAL,
            BATTERY.MODEL_ID,
            BATTERY.MADE_ON,
            BATTERY.IN_SERVICE_ON,
            BATTERY.SLOT_ID,
            BATTERY.MACHINE_ID,
            BATTERY.WATER_OWNER_ID,
            PACK_LAYOUT.LAYOUT,
            PLACE,
            ROOM.ID,
            ROOM.CODE,
            MACHINE.CODE,
            PERSON.NAME);

    private final DSLContext sql;

    Batteries(DSLContext sql) {
        this.sql = sql;
    }

    public Optional<Battery> byCode(String code) {
        return select().where(BATTERY.CODE.eq(code)).fetchOptional(Batteries::battery);
    }

    public Optional<Battery> byId(long id) {
        return select().where(BATTERY.ID.eq(id)).fetchOptional(Batteries::battery);
    }

    /** @return the battery that is in a machine */
    public Optional<Battery> inMachine(long machineId) {
        return select().where(BATTERY.MACHINE_ID.eq(machineId)).fetchOptional(Batteries::battery);
    }

    /** @return batteries standing in the room or in machines parked there, by code */
    public List<Battery> inRoom(long roomId) {
        return list(BATTERY.ID.in(idsInRoom(roomId)));
    }

    /** @return ids of batteries standing in the room or in machines parked there */
    public Set<Long> idsInRoom(long roomId) {
        // Two index look-ups: an OR over both ways into the room would read every battery of the site.
        return sql.select(BATTERY.ID)
                .from(BATTERY)
                .join(SLOT)
                .on(SLOT.ID.eq(BATTERY.SLOT_ID))
                .join(STAND)
                .on(STAND.ID.eq(SLOT.STAND_ID))
                .where(STAND.ROOM_ID.eq(roomId))
                .unionAll(sql.select(BATTERY.ID)
                        .from(BATTERY)
                        .join(MACHINE)
                        .on(MACHINE.ID.eq(BATTERY.MACHINE_ID))
                        .join(SLOT)
                        .on(SLOT.ID.eq(MACHINE.SLOT_ID))
                        .join(STAND)
                        .on(STAND.ID.eq(SLOT.STAND_ID))
                        .where(STAND.ROOM_ID.eq(roomId)))
                .fetchSet(BATTERY.ID);
    }

    /** @return those of the site, without the ones that have left it */
    public List<Battery> all() {
        return list(BATTERY.RETIRED_AT.isNull());
    }

    /** @return those of them that are of the site, by code */
    public List<Battery> all(Collection<Long> ids) {
        return list(BATTERY.RETIRED_AT.isNull().and(BATTERY.ID.in(ids)));
    }

    /** @return every one that was ever here: what looks into the past asks for these */
    public List<Battery> ever() {
        return list(noCondition());
    }

    public List<Battery> retired() {
        return list(BATTERY.RETIRED_AT.isNotNull());
    }

    /** @param at null where it is here after all */
    public void retire(long id, @Nullable Instant at) {
        sql.update(BATTERY).set(BATTERY.RETIRED_AT, at).where(BATTERY.ID.eq(id)).execute();
    }

    /** @return at most 12 batteries whose code, serial or machine begins with, or else contains, the text */
    public List<Battery> find(String text) {
        String bare = text.strip();
        Condition begins = startsWithLoosely(BATTERY.CODE, bare)
                .or(startsWithLoosely(MACHINE.CODE, bare))
                .or(BATTERY.SERIAL.startsWithIgnoreCase(bare));
        Condition contains = BATTERY.SERIAL.containsIgnoreCase(bare).or(MACHINE.NAME.containsIgnoreCase(bare));
        return select().where(begins.or(contains))
                .orderBy(begins.desc(), BATTERY.CODE)
                .limit(FOUND_AT_MOST)
                .fetch(Batteries::battery);
    }

    /** "t7" finds T-07 as well as T7: people leave out hyphens and leading noughts. */
    private static Condition startsWithLoosely(Field<String> code, String text) {
        String plain = text.replaceAll("[^\\p{Alnum}]", "");
        Field<String> plainCode = replace(code, "-", "");
        Field<String> shortCode = replace(replace(code, "-0", ""), "-", "");
        return plain.isEmpty()
                ? code.startsWithIgnoreCase(text)
                : plainCode.startsWithIgnoreCase(plain).or(shortCode.startsWithIgnoreCase(plain));
    }

    /** Models are few: each is read and put together once, however many batteries are of it. */
    private List<Battery> list(Condition condition) {
        Map<Long, StoredModel> types = sql.selectFrom(BATTERY_MODEL).fetchMap(BATTERY_MODEL.ID, Models::model);
        return from(sql.select(OWN))
                .where(condition)
                .orderBy(BATTERY.CODE)
                .fetch(r -> battery(r, Objects.requireNonNull(types.get(r.get(BATTERY.MODEL_ID)))));
    }

    public int count() {
        return sql.fetchCount(BATTERY);
    }

    /** @return the id given to it */
    public long add(String code, String serial, long modelId, @Nullable LocalDate madeOn, LocalDate inServiceOn) {
        return sql.insertInto(BATTERY)
                .set(BATTERY.CODE, code)
                .set(BATTERY.SERIAL, serial)
                .set(BATTERY.MODEL_ID, modelId)
                .set(BATTERY.MADE_ON, madeOn)
                .set(BATTERY.IN_SERVICE_ON, inServiceOn)
                .returningResult(BATTERY.ID)
                .fetchSingle()
                .value1();
    }

    /** How often it has been changed; by it a change of what somebody else has changed meanwhile is known. */
    public int version(long id) {
        return sql.select(BATTERY.VERSION)
                .from(BATTERY)
                .where(BATTERY.ID.eq(id))
                .fetchSingle()
                .value1();
    }

    /**
     * @param seen version that was shown; null for one never shown
     * @return whether it was changed: not where somebody else has changed it since
     */
    public boolean change(
            long id, @Nullable Integer seen, String serial, @Nullable LocalDate madeOn, LocalDate inServiceOn) {
        return sql.update(BATTERY)
                        .set(BATTERY.SERIAL, serial)
                        .set(BATTERY.MADE_ON, madeOn)
                        .set(BATTERY.IN_SERVICE_ON, inServiceOn)
                        .set(BATTERY.VERSION, BATTERY.VERSION.plus(1))
                        .where(BATTERY.ID.eq(id).and(BATTERY.VERSION.eq(seen)))
                        .execute()
                == 1;
    }

    /** Gives it another model. */
    public void remodel(long id, long modelId) {
        sql.update(BATTERY)
                .set(BATTERY.MODEL_ID, modelId)
                .set(BATTERY.VERSION, BATTERY.VERSION.plus(1))
                .where(BATTERY.ID.eq(id))
                .execute();
    }

    /** Gives it another code. */
    public void rename(long id, String code) {
        sql.update(BATTERY)
                .set(BATTERY.CODE, code)
                .set(BATTERY.VERSION, BATTERY.VERSION.plus(1))
                .where(BATTERY.ID.eq(id))
                .execute();
    }

    public void nameWaterOwner(long id, @Nullable Long personId) {
        sql.update(BATTERY)
                .set(BATTERY.WATER_OWNER_ID, personId)
                .where(BATTERY.ID.eq(id))
                .execute();
    }

    /** Moves it into a slot, into a machine, or, with both null, out of sight. */
    public void place(long id, @Nullable Long slotId, @Nullable Long machineId) {
        sql.update(BATTERY)
                .set(BATTERY.SLOT_ID, slotId)
                .set(BATTERY.MACHINE_ID, machineId)
                .where(BATTERY.ID.eq(id))
                .execute();
    }

    private SelectOnConditionStep<Record> select() {
        return from(sql.select(OWN).select(BATTERY_MODEL.fields()))
                .join(BATTERY_MODEL)
                .on(BATTERY_MODEL.ID.eq(BATTERY.MODEL_ID));
    }

    private static SelectOnConditionStep<Record> from(SelectSelectStep<Record> selected) {
        return selected.from(BATTERY)
                .leftJoin(PACK_LAYOUT)
                .on(PACK_LAYOUT.BATTERY_ID.eq(BATTERY.ID))
                .leftJoin(MACHINE)
                .on(MACHINE.ID.eq(BATTERY.MACHINE_ID))
                .leftJoin(SLOT)
                .on(SLOT.ID.eq(coalesce(BATTERY.SLOT_ID, MACHINE.SLOT_ID)))
                .leftJoin(STAND)
                .on(STAND.ID.eq(SLOT.STAND_ID))
                .leftJoin(ROOM)
                .on(ROOM.ID.eq(STAND.ROOM_ID))
                .leftJoin(PERSON)
                .on(PERSON.ID.eq(BATTERY.WATER_OWNER_ID));
    }

    private static Battery battery(Record r) {
        return battery(r, Models.model(r));
    }

    private static Battery battery(Record r, StoredModel type) {
        return new Battery(
                r.get(BATTERY.ID),
                r.get(BATTERY.CODE),
                r.get(BATTERY.SERIAL),
                type,
                ownLayout(r.get(PACK_LAYOUT.LAYOUT), type.model().layout()),
                r.get(BATTERY.MADE_ON),
                r.get(BATTERY.IN_SERVICE_ON),
                new Whereabouts(
                        r.get(BATTERY.SLOT_ID),
                        r.get(BATTERY.MACHINE_ID),
                        r.get(MACHINE.CODE),
                        r.get(PLACE),
                        r.get(ROOM.ID),
                        r.get(ROOM.CODE)),
                waterer(r.get(BATTERY.WATER_OWNER_ID), r.get(PERSON.NAME)));
    }

    private static Battery.@Nullable Waterer waterer(@Nullable Long id, @Nullable String name) {
        return id == null || name == null ? null : new Battery.Waterer(id, name);
    }

    private static @Nullable CellLayout ownLayout(@Nullable String text, CellLayout ofModel) {
        if (text == null) {
            return null;
        }
        CellLayout own = LayoutText.parse(text, ofModel.cellsPerCase());
        // Another model since: what was drawn was another pack.
        return own.cases().size() == ofModel.cases().size() ? own : null;
    }
}
