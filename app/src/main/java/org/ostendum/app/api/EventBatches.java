package org.ostendum.app.api;

import static org.ostendum.app.db.jooq.Tables.EVENT_BATCH;

import java.time.Clock;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Keys of what programs have sent, so that the same sending is kept once. */
@Repository
public class EventBatches {
    private final DSLContext sql;
    private final Clock clock;

    EventBatches(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** @return whether it is new; needs the transaction in which its events are written */
    public boolean keep(String key, long batteryId, long personId) {
        return sql.insertInto(EVENT_BATCH)
                        .set(EVENT_BATCH.CLIENT_KEY, key)
                        .set(EVENT_BATCH.BATTERY_ID, batteryId)
                        .set(EVENT_BATCH.PERSON_ID, personId)
                        .set(EVENT_BATCH.KEPT_AT, clock.instant())
                        .onDuplicateKeyIgnore()
                        .execute()
                == 1;
    }
}
