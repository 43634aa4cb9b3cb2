package org.ostendum.app.charge;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.CHARGER_EVENT;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.time.Instant;
import java.util.List;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** What happened at chargers besides their charges: matches refused, troubles. */
@Repository
public class ChargerEvents {
    private final DSLContext sql;

    ChargerEvents(DSLContext sql) {
        this.sql = sql;
    }

    public enum What {
        REFUSED,
        TROUBLE
    }

    /** @param told in words, as they were said then */
    public record Line(Instant at, What what, @Nullable String battery, @Nullable String person, String told) {}

    public void add(
            long chargerId, Instant at, What what, @Nullable Long batteryId, @Nullable Long personId, String told) {
        sql.insertInto(CHARGER_EVENT)
                .set(CHARGER_EVENT.CHARGER_ID, chargerId)
                .set(CHARGER_EVENT.AT, at)
                .set(CHARGER_EVENT.KIND, what.name())
                .set(CHARGER_EVENT.BATTERY_ID, batteryId)
                .set(CHARGER_EVENT.PERSON_ID, personId)
                .set(CHARGER_EVENT.TOLD, told.length() > 600 ? told.substring(0, 600) : told)
                .execute();
    }

    /** @return the newest first */
    public List<Line> of(long chargerId, int most) {
        return sql.select(CHARGER_EVENT.AT, CHARGER_EVENT.KIND, BATTERY.CODE, PERSON.NAME, CHARGER_EVENT.TOLD)
                .from(CHARGER_EVENT)
                .leftJoin(BATTERY)
                .on(BATTERY.ID.eq(CHARGER_EVENT.BATTERY_ID))
                .leftJoin(PERSON)
                .on(PERSON.ID.eq(CHARGER_EVENT.PERSON_ID))
                .where(CHARGER_EVENT.CHARGER_ID.eq(chargerId))
                .orderBy(CHARGER_EVENT.AT.desc(), CHARGER_EVENT.ID.desc())
                .limit(most)
                .fetch(r -> new Line(r.value1(), What.valueOf(r.value2()), r.value3(), r.value4(), r.value5()));
    }
}
