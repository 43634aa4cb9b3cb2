package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.CHARGER;
import static org.ostendum.app.db.jooq.Tables.MACHINE;
import static org.ostendum.app.db.jooq.Tables.SLOT;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.room.RoomPlan.Charger;
import org.springframework.stereotype.Repository;

/** The chargers of the site: over a place, on board of a machine, or where nobody has said. */
@Repository
public class Chargers {
    private final DSLContext sql;

    Chargers(DSLContext sql) {
        this.sql = sql;
    }

    public List<Charger> all() {
        return list(DSL.noCondition());
    }

    public Optional<Charger> byCode(String code) {
        return list(CHARGER.CODE.eq(code)).stream().findFirst();
    }

    /** @param id null for none */
    public Optional<Charger> byId(@Nullable Long id) {
        return id == null ? Optional.empty() : list(CHARGER.ID.eq(id)).stream().findFirst();
    }

    /** @return the one over a place */
    public Optional<Charger> over(long slotId) {
        return list(CHARGER.SLOT_ID.eq(slotId)).stream().findFirst();
    }

    /** @return codes of the places over which they hang, by the charger's id */
    public Map<Long, String> places() {
        return sql.select(CHARGER.ID, SLOT.CODE)
                .from(CHARGER)
                .join(SLOT)
                .on(SLOT.ID.eq(CHARGER.SLOT_ID))
                .fetchMap(CHARGER.ID, SLOT.CODE);
    }

    /** @return id of the place over which it hangs, null for none */
    public @Nullable Long slotOf(long id) {
        return sql.select(CHARGER.SLOT_ID)
                .from(CHARGER)
                .where(CHARGER.ID.eq(id))
                .fetchSingle(CHARGER.SLOT_ID);
    }

    public boolean isOnBoard(long id) {
        return sql.select(CHARGER.ON_BOARD)
                .from(CHARGER)
                .where(CHARGER.ID.eq(id))
                .fetchSingle(CHARGER.ON_BOARD);
    }

    /** Takes it down from its place, unless that is the one of such a code. */
    public void leave(long id, String unlessPlace) {
        sql.update(CHARGER)
                .setNull(CHARGER.SLOT_ID)
                .where(CHARGER.ID
                        .eq(id)
                        .andNotExists(DSL.selectOne()
                                .from(SLOT)
                                .where(SLOT.ID.eq(CHARGER.SLOT_ID).and(SLOT.CODE.eq(unlessPlace)))))
                .execute();
    }

    private List<Charger> list(Condition which) {
        return sql.select(CHARGER.fields())
                .select(MACHINE.CODE)
                .from(CHARGER)
                .leftJoin(MACHINE)
                .on(MACHINE.ID.eq(CHARGER.MACHINE_ID))
                .where(which)
                .orderBy(CHARGER.CODE)
                .fetch(r -> Objects.requireNonNull(ChargerRow.charger(r, r.get(MACHINE.CODE))));
    }

    /** @return id of the one a battery is usually charged with: on board of its machine, or over its place or its machine's */
    public Optional<Long> usualOf(Battery battery) {
        return Optional.ofNullable(usual(BATTERY.ID.eq(battery.id())).get(battery.id()));
    }

    /** @return the same of all batteries that have one, by their ids */
    public Map<Long, Long> usual() {
        return usual(DSL.noCondition());
    }

    private Map<Long, Long> usual(Condition which) {
        Map<Long, Long> usual = new HashMap<>();
        // What is on board comes last and counts.
        sql.select(BATTERY.ID, CHARGER.ID)
                .from(BATTERY)
                .leftJoin(MACHINE)
                .on(MACHINE.ID.eq(BATTERY.MACHINE_ID))
                .join(CHARGER)
                .on(CHARGER.MACHINE_ID
                        .eq(BATTERY.MACHINE_ID)
                        .or(CHARGER.SLOT_ID.eq(BATTERY.SLOT_ID))
                        .or(CHARGER.SLOT_ID.eq(MACHINE.SLOT_ID)))
                .where(which)
                .orderBy(CHARGER.ON_BOARD, CHARGER.ID.desc())
                .forEach(row -> usual.put(row.get(BATTERY.ID), row.get(CHARGER.ID)));
        return usual;
    }

    /** @return its id */
    public long add(@Nullable Long slotId, ChargerSheet sheet) {
        return sql.insertInto(CHARGER)
                .set(ChargerRow.row(sheet))
                .set(CHARGER.SLOT_ID, slotId)
                .returningResult(CHARGER.ID)
                .fetchSingle()
                .value1();
    }

    /**
     * Says where it is.
     *
     * @param slotId over which place; null for over none
     * @param machineId on board of which machine; null for none, or for one not known yet
     */
    public void place(long id, @Nullable Long slotId, boolean onBoard, @Nullable Long machineId) {
        sql.update(CHARGER)
                .set(CHARGER.SLOT_ID, slotId)
                .set(CHARGER.ON_BOARD, onBoard)
                .set(CHARGER.MACHINE_ID, machineId)
                .where(CHARGER.ID.eq(id))
                .execute();
    }

    /** How often it has been changed; by it a change of what somebody else has changed meanwhile is known. */
    public int version(long id) {
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
    public boolean change(long id, @Nullable Integer seen, ChargerSheet sheet) {
        return sql.update(CHARGER)
                        .set(ChargerRow.row(sheet))
                        .set(CHARGER.VERSION, CHARGER.VERSION.plus(1))
                        .where(CHARGER.ID.eq(id).and(CHARGER.VERSION.eq(seen)))
                        .execute()
                == 1;
    }
}
