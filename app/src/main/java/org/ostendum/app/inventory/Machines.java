package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.MACHINE;
import static org.ostendum.app.db.jooq.Tables.SLOT;

import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** The machines of the site. */
@Repository
public class Machines {
    private final DSLContext sql;

    Machines(DSLContext sql) {
        this.sql = sql;
    }

    public List<Machine> all() {
        return list(DSL.noCondition());
    }

    public Optional<Machine> byCode(String code) {
        return list(MACHINE.CODE.eq(code)).stream().findFirst();
    }

    private List<Machine> list(Condition condition) {
        return sql.select(MACHINE.fields())
                .select(SLOT.CODE)
                .from(MACHINE)
                .leftJoin(SLOT)
                .on(SLOT.ID.eq(MACHINE.SLOT_ID))
                .where(condition)
                .orderBy(MACHINE.CODE)
                .fetch(r -> new Machine(
                        r.get(MACHINE.ID),
                        r.get(MACHINE.CODE),
                        r.get(MACHINE.NAME),
                        MachineKind.valueOf(r.get(MACHINE.KIND)),
                        r.get(MACHINE.WEIGHT_FROM_KG),
                        r.get(MACHINE.WEIGHT_TO_KG),
                        r.get(MACHINE.VOLTS) == null
                                ? null
                                : (Integer) r.get(MACHINE.VOLTS).intValue(),
                        r.get(MACHINE.CONNECTOR),
                        r.get(MACHINE.SLOT_ID),
                        r.get(SLOT.CODE)));
    }

    /** Holds the machine for this transaction: of two people who change its battery one is first. */
    public void lock(long id) {
        sql.select(MACHINE.ID)
                .from(MACHINE)
                .where(MACHINE.ID.eq(id))
                .forUpdate()
                .fetchOptional();
    }

    /** @return the id given to it; {@code machine.id()} is ignored */
    public long add(Machine machine) {
        return sql.insertInto(MACHINE)
                .set(MACHINE.CODE, machine.code())
                .set(MACHINE.NAME, machine.name())
                .set(MACHINE.KIND, machine.kind().name())
                .set(MACHINE.WEIGHT_FROM_KG, machine.weightFromKg())
                .set(MACHINE.WEIGHT_TO_KG, machine.weightToKg())
                .set(
                        MACHINE.VOLTS,
                        machine.volts() == null ? null : (Short) machine.volts().shortValue())
                .set(MACHINE.CONNECTOR, machine.connector())
                .set(MACHINE.SLOT_ID, machine.slotId())
                .returningResult(MACHINE.ID)
                .fetchSingle()
                .value1();
    }

    /** Parks it elsewhere; null for nowhere on the plan. */
    public void park(long id, @Nullable Long slotId) {
        sql.update(MACHINE)
                .set(MACHINE.SLOT_ID, slotId)
                .where(MACHINE.ID.eq(id))
                .execute();
    }

    /** How often it has been changed; by it a change of what somebody else has changed meanwhile is known. */
    public int version(long id) {
        return sql.select(MACHINE.VERSION)
                .from(MACHINE)
                .where(MACHINE.ID.eq(id))
                .fetchSingle()
                .value1();
    }

    /**
     * @param seen version that was shown; null for one never shown
     * @return whether it was changed: not where somebody else has changed it since
     */
    public boolean change(Machine machine, @Nullable Integer seen) {
        return sql.update(MACHINE)
                        .set(MACHINE.NAME, machine.name())
                        .set(MACHINE.KIND, machine.kind().name())
                        .set(MACHINE.WEIGHT_FROM_KG, machine.weightFromKg())
                        .set(MACHINE.WEIGHT_TO_KG, machine.weightToKg())
                        .set(
                                MACHINE.VOLTS,
                                machine.volts() == null
                                        ? null
                                        : (Short) machine.volts().shortValue())
                        .set(MACHINE.CONNECTOR, machine.connector())
                        .set(MACHINE.SLOT_ID, machine.slotId())
                        .set(MACHINE.VERSION, MACHINE.VERSION.plus(1))
                        .where(MACHINE.ID.eq(machine.id()).and(MACHINE.VERSION.eq(seen)))
                        .execute()
                == 1;
    }
}
