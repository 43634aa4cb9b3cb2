package org.ostendum.app.state;

import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.max;
import static org.ostendum.app.db.jooq.Tables.HYDROMETER_CHECK;
import static org.ostendum.app.db.jooq.Tables.ROOM;

import java.time.Instant;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** What comparing the hydrometer of each room has shown. */
@Repository
class HydrometerChecks {
    private static final short RIGHT = 0;

    private final DSLContext sql;

    HydrometerChecks(DSLContext sql) {
        this.sql = sql;
    }

    /** @return id of a room's newest, 0 for none */
    long newest(long room) {
        return sql.select(coalesce(max(HYDROMETER_CHECK.ID), 0L))
                .from(HYDROMETER_CHECK)
                .where(HYDROMETER_CHECK.ROOM_ID.eq(room))
                .fetchSingle()
                .value1();
    }

    /** The same, and nobody else says anything of the room until the transaction ends. */
    long newestLocked(long room) {
        sql.select(ROOM.ID).from(ROOM).where(ROOM.ID.eq(room)).forUpdate().fetch();
        return newest(room);
    }

    /** @return since when the room's rounds are known to be read rightly */
    Optional<Instant> rightSince(long room) {
        return sql.select(HYDROMETER_CHECK.SINCE)
                .from(HYDROMETER_CHECK)
                .where(HYDROMETER_CHECK.ROOM_ID.eq(room).and(HYDROMETER_CHECK.POINTS.eq(RIGHT)))
                .orderBy(HYDROMETER_CHECK.ID.desc())
                .limit(1)
                .fetchOptional(HYDROMETER_CHECK.SINCE);
    }

    void add(long room, Instant at, HydrometerComparison shown, long person) {
        sql.insertInto(HYDROMETER_CHECK)
                .set(HYDROMETER_CHECK.ROOM_ID, room)
                .set(HYDROMETER_CHECK.AT, at)
                .set(HYDROMETER_CHECK.SINCE, shown.since())
                .set(HYDROMETER_CHECK.POINTS, (short) shown.points())
                .set(HYDROMETER_CHECK.NOTE, shown.note())
                .set(HYDROMETER_CHECK.PERSON_ID, person)
                .execute();
    }
}
