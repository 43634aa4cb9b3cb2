package org.ostendum.app.complaint;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.COMPLAINT;
import static org.ostendum.app.db.jooq.Tables.COMPLAINT_LOOK;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.complaint.Cause;
import org.ostendum.core.complaint.Complaint;
import org.ostendum.core.complaint.Look;
import org.ostendum.core.complaint.Look.Outcome;
import org.springframework.stereotype.Repository;

/** What drivers complain of, and what was looked at. */
@Repository
public class Complaints {
    private final DSLContext sql;

    Complaints(DSLContext sql) {
        this.sql = sql;
    }

    /**
     * A complaint.
     *
     * @param said in the driver's words; may be empty
     * @param cause it ended with; null while it is open
     */
    public record Said(
            long id,
            long batteryId,
            String battery,
            Complaint kind,
            String said,
            Instant at,
            String by,
            @Nullable Instant endedAt,
            @Nullable Cause cause) {
        public boolean isOpen() {
            return endedAt == null;
        }
    }

    public long add(long batteryId, Complaint kind, String said, long by, Instant now) {
        return sql.insertInto(COMPLAINT)
                .set(COMPLAINT.BATTERY_ID, batteryId)
                .set(COMPLAINT.KIND, kind.name())
                .set(COMPLAINT.SAID, said)
                .set(COMPLAINT.SAID_AT, now)
                .set(COMPLAINT.SAID_BY, by)
                .returningResult(COMPLAINT.ID)
                .fetchSingle()
                .value1();
    }

    public List<Said> open() {
        return fetch(COMPLAINT.ENDED_AT.isNull());
    }

    public Optional<Said> openOf(long batteryId) {
        return fetch(COMPLAINT.ENDED_AT.isNull().and(COMPLAINT.BATTERY_ID.eq(batteryId))).stream()
                .findFirst();
    }

    Optional<Said> byId(long id) {
        return fetch(COMPLAINT.ID.eq(id)).stream().findFirst();
    }

    private List<Said> fetch(Condition which) {
        return sql.select(COMPLAINT.fields())
                .select(BATTERY.CODE, PERSON.NAME)
                .from(COMPLAINT)
                .join(BATTERY)
                .on(BATTERY.ID.eq(COMPLAINT.BATTERY_ID))
                .join(PERSON)
                .on(PERSON.ID.eq(COMPLAINT.SAID_BY))
                .where(which)
                .orderBy(COMPLAINT.ID)
                .fetch(r -> new Said(
                        r.get(COMPLAINT.ID),
                        r.get(COMPLAINT.BATTERY_ID),
                        r.get(BATTERY.CODE),
                        Complaint.valueOf(r.get(COMPLAINT.KIND)),
                        r.get(COMPLAINT.SAID),
                        r.get(COMPLAINT.SAID_AT),
                        r.get(PERSON.NAME),
                        r.get(COMPLAINT.ENDED_AT),
                        r.get(COMPLAINT.CAUSE) == null ? null : Cause.valueOf(r.get(COMPLAINT.CAUSE))));
    }

    /** @return what was seen, in the order in which it was */
    Map<Look, Outcome> seen(long id) {
        Map<Look, Outcome> seen = new LinkedHashMap<>();
        sql.selectFrom(COMPLAINT_LOOK)
                .where(COMPLAINT_LOOK.COMPLAINT_ID.eq(id))
                .orderBy(COMPLAINT_LOOK.ID)
                .forEach(r -> seen.put(Look.valueOf(r.getLook()), Outcome.valueOf(r.getShown())));
        return seen;
    }

    /**
     * The first that is said of a look holds, until it is taken back.
     *
     * @param onRecord whether the battery's state said it, so that nobody went to look
     */
    void see(long id, Look look, Outcome shown, boolean onRecord, long by, Instant now) {
        sql.insertInto(COMPLAINT_LOOK)
                .set(COMPLAINT_LOOK.COMPLAINT_ID, id)
                .set(COMPLAINT_LOOK.LOOK, look.name())
                .set(COMPLAINT_LOOK.SHOWN, shown.name())
                .set(COMPLAINT_LOOK.SEEN_AT, now)
                .set(COMPLAINT_LOOK.SEEN_BY, by)
                .set(COMPLAINT_LOOK.ON_RECORD, onRecord)
                .onDuplicateKeyIgnore()
                .execute();
    }

    List<Look> onRecord(long id) {
        return sql.select(COMPLAINT_LOOK.LOOK)
                .from(COMPLAINT_LOOK)
                .where(COMPLAINT_LOOK.COMPLAINT_ID.eq(id).and(COMPLAINT_LOOK.ON_RECORD))
                .fetch(r -> Look.valueOf(r.value1()));
    }

    void takeBack(long id, Look look) {
        sql.deleteFrom(COMPLAINT_LOOK)
                .where(COMPLAINT_LOOK.COMPLAINT_ID.eq(id).and(COMPLAINT_LOOK.LOOK.eq(look.name())))
                .execute();
    }

    /** @return whether it ended now: not where somebody has ended it already */
    boolean end(long id, Cause cause, long by, Instant now) {
        return sql.update(COMPLAINT)
                        .set(COMPLAINT.ENDED_AT, now)
                        .set(COMPLAINT.ENDED_BY, by)
                        .set(COMPLAINT.CAUSE, cause.name())
                        .where(COMPLAINT.ID.eq(id).and(COMPLAINT.ENDED_AT.isNull()))
                        .execute()
                == 1;
    }
}
