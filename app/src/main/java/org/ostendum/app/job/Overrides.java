package org.ostendum.app.job;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.JOB;
import static org.ostendum.app.db.jooq.Tables.JOB_EVENT;
import static org.ostendum.app.db.jooq.Tables.OVERRIDE_SEEN;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.RunEvent.Kind;
import org.springframework.stereotype.Repository;

/** Gates somebody went through with a reason, until a lead has seen it. */
@Repository
public class Overrides {
    private final DSLContext sql;
    private final Clock clock;

    Overrides(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** @param battery its code, null for a job on the room */
    public record Overridden(
            long eventId,
            long jobId,
            String procedureId,
            @Nullable String battery,
            GateKey gate,
            String reason,
            String person,
            Instant at) {}

    /** @return those no lead has seen yet, the oldest first */
    public List<Overridden> unseen() {
        return sql.select(JOB_EVENT.ID, JOB_EVENT.ABOUT, JOB_EVENT.VALUE, JOB_EVENT.HAPPENED_AT)
                .select(JOB.ID, JOB.PROCEDURE_ID, BATTERY.CODE, PERSON.NAME)
                .from(JOB_EVENT)
                .join(JOB)
                .on(JOB.ID.eq(JOB_EVENT.JOB_ID))
                .join(PERSON)
                .on(PERSON.ID.eq(JOB_EVENT.PERSON_ID))
                .leftJoin(BATTERY)
                .on(BATTERY.ID.eq(JOB.BATTERY_ID))
                .leftAntiJoin(OVERRIDE_SEEN)
                .on(OVERRIDE_SEEN.JOB_EVENT_ID.eq(JOB_EVENT.ID))
                .where(JOB_EVENT.KIND.eq(Kind.GATE_OVERRIDDEN.name()))
                .orderBy(JOB_EVENT.ID)
                .fetch(r -> new Overridden(
                        r.get(JOB_EVENT.ID),
                        r.get(JOB.ID),
                        r.get(JOB.PROCEDURE_ID),
                        r.get(BATTERY.CODE),
                        GateKey.valueOf(r.get(JOB_EVENT.ABOUT)),
                        r.get(JOB_EVENT.VALUE),
                        r.get(PERSON.NAME),
                        r.get(JOB_EVENT.HAPPENED_AT)));
    }

    public void see(long eventId, long personId) {
        sql.insertInto(OVERRIDE_SEEN)
                .set(OVERRIDE_SEEN.JOB_EVENT_ID, eventId)
                .set(OVERRIDE_SEEN.PERSON_ID, personId)
                .set(OVERRIDE_SEEN.SEEN_AT, clock.instant())
                .onDuplicateKeyIgnore()
                .execute();
    }
}
