package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.CHARGER;
import static org.ostendum.app.db.jooq.Tables.MACHINE;
import static org.ostendum.app.db.jooq.Tables.SLOT;

import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Places of batteries and machines, each with the code by which people and files name it. */
@Repository
public class Places {
    public static final int LONGEST_CODE = 80;

    private final DSLContext sql;

    Places(DSLContext sql) {
        this.sql = sql;
    }

    /** A place by its ids. */
    public record Place(long id, long standId, String code, int number, int tier) {}

    public Optional<Place> byCode(String code) {
        return sql.selectFrom(SLOT)
                .where(SLOT.CODE.eq(code))
                .fetchOptional(r -> new Place(r.getId(), r.getStandId(), r.getCode(), r.getNumber(), r.getTier()));
    }

    public int count() {
        return sql.fetchCount(SLOT);
    }

    /** @return the text itself, or with a number behind it where a place has that code already */
    public String freeCode(String wanted) {
        String code = wanted;
        for (int n = 2; byCode(code).isPresent(); n++) {
            code = wanted + " (" + n + ")";
        }
        return code;
    }

    /** @return its id */
    public long add(long standId, int number, String code, int tier) {
        return sql.insertInto(SLOT)
                .set(SLOT.STAND_ID, standId)
                .set(SLOT.NUMBER, (short) number)
                .set(SLOT.CODE, code)
                .set(SLOT.TIER, (short) tier)
                .returningResult(SLOT.ID)
                .fetchSingle()
                .value1();
    }

    public void change(long id, long standId, int number, int tier) {
        sql.update(SLOT)
                .set(SLOT.STAND_ID, standId)
                .set(SLOT.NUMBER, (short) number)
                .set(SLOT.TIER, (short) tier)
                .where(SLOT.ID.eq(id))
                .execute();
    }

    public void rename(long id, String code) {
        sql.update(SLOT).set(SLOT.CODE, code).where(SLOT.ID.eq(id)).execute();
    }

    /** @return code of the battery that stands in it or of the machine parked in it */
    public Optional<String> holds(long id) {
        return sql.select(BATTERY.CODE)
                .from(BATTERY)
                .where(BATTERY.SLOT_ID.eq(id))
                .unionAll(sql.select(MACHINE.CODE).from(MACHINE).where(MACHINE.SLOT_ID.eq(id)))
                .limit(1)
                .fetchOptional()
                .map(r -> r.value1());
    }

    /** @return whether neither a battery, a machine nor a charger is in it */
    public boolean isEmpty(long id) {
        return holds(id).isEmpty() && !sql.fetchExists(CHARGER, CHARGER.SLOT_ID.eq(id));
    }

    public void remove(long id) {
        sql.deleteFrom(SLOT).where(SLOT.ID.eq(id)).execute();
    }
}
