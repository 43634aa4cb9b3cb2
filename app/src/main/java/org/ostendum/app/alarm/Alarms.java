package org.ostendum.app.alarm;

import static org.ostendum.app.db.jooq.Tables.ALARM;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.time.Instant;
import java.util.List;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.SelectConditionStep;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.ledger.VerdictText;
import org.ostendum.core.alarm.Alarm;
import org.ostendum.core.alarm.AlarmKind;
import org.springframework.stereotype.Repository;

/** Alarms, standing and past. The same alarm about the same thing stands once. */
@Repository
public class Alarms {
    private final DSLContext sql;

    Alarms(DSLContext sql) {
        this.sql = sql;
    }

    /** What an alarm belongs to, for the way to it. */
    public record Belongs(@Nullable Long batteryId, @Nullable Long chargerId, @Nullable Long roomId) {}

    /** @return whether it is new: one that stands already is not raised again */
    public boolean raise(Alarm alarm, Belongs belongs, Instant at) {
        return sql.insertInto(ALARM)
                        .set(ALARM.KIND, alarm.kind().name())
                        .set(ALARM.ABOUT, alarm.about())
                        .set(ALARM.BATTERY_ID, belongs.batteryId())
                        .set(ALARM.CHARGER_ID, belongs.chargerId())
                        .set(ALARM.ROOM_ID, belongs.roomId())
                        .set(
                                ALARM.SENTENCE,
                                VerdictText.message(alarm.sentence()).toString())
                        .set(ALARM.RAISED_AT, at)
                        .set(ALARM.OPEN_KEY, alarm.kind() + " " + alarm.about())
                        .onDuplicateKeyIgnore()
                        .execute()
                > 0;
    }

    public void clear(long id, Instant at) {
        sql.update(ALARM)
                .set(ALARM.CLEARED_AT, at)
                .setNull(ALARM.OPEN_KEY)
                .where(ALARM.ID.eq(id).and(ALARM.CLEARED_AT.isNull()))
                .execute();
    }

    /** @return whether nobody had before */
    public boolean acknowledge(long id, long personId, Instant at, @Nullable String done) {
        return sql.update(ALARM)
                        .set(ALARM.ACKNOWLEDGED_AT, at)
                        .set(ALARM.ACKNOWLEDGED_BY, personId)
                        .set(ALARM.DONE, done)
                        .where(ALARM.ID.eq(id).and(ALARM.ACKNOWLEDGED_AT.isNull()))
                        .execute()
                > 0;
    }

    /** @return those that stand or that nobody has acknowledged, the newest first */
    public List<StandingAlarm> open() {
        return select(ALARM.CLEARED_AT.isNull().or(ALARM.ACKNOWLEDGED_AT.isNull()))
                .orderBy(ALARM.RAISED_AT.desc(), ALARM.ID.desc())
                .fetch(Alarms::alarm);
    }

    /** @return done with, the newest first */
    public List<StandingAlarm> past(int most) {
        return select(ALARM.CLEARED_AT.isNotNull().and(ALARM.ACKNOWLEDGED_AT.isNotNull()))
                .orderBy(ALARM.RAISED_AT.desc(), ALARM.ID.desc())
                .limit(most)
                .fetch(Alarms::alarm);
    }

    private SelectConditionStep<Record> select(Condition condition) {
        return sql.select(ALARM.fields())
                .select(PERSON.NAME)
                .from(ALARM)
                .leftJoin(PERSON)
                .on(PERSON.ID.eq(ALARM.ACKNOWLEDGED_BY))
                .where(condition);
    }

    private static StandingAlarm alarm(Record r) {
        return new StandingAlarm(
                r.get(ALARM.ID),
                AlarmKind.valueOf(r.get(ALARM.KIND)),
                r.get(ALARM.ABOUT),
                r.get(ALARM.BATTERY_ID),
                r.get(ALARM.CHARGER_ID),
                r.get(ALARM.ROOM_ID),
                VerdictText.readMessage(Payload.read(r.get(ALARM.SENTENCE))),
                r.get(ALARM.RAISED_AT),
                r.get(ALARM.CLEARED_AT),
                r.get(ALARM.ACKNOWLEDGED_AT),
                r.get(PERSON.NAME),
                r.get(ALARM.DONE));
    }
}
