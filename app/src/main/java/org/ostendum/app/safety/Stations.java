package org.ostendum.app.safety;

import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.select;
import static org.ostendum.app.db.jooq.Tables.PERSON;
import static org.ostendum.app.db.jooq.Tables.STATION;
import static org.ostendum.app.db.jooq.Tables.STATION_CHECK;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.safety.Kit;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.StationState;
import org.springframework.stereotype.Repository;

/** Eyewash, shower, kit and what else is looked after in a room, with every check that was made. */
@Repository
public class Stations {
    private final DSLContext sql;
    private final Kits kits;
    private final Clock clock;

    Stations(DSLContext sql, Kits kits, Clock clock) {
        this.sql = sql;
        this.kits = kits;
        this.clock = clock;
    }

    /**
     * One thing looked after.
     *
     * @param checkedBy and {@code remark} of the last check; null where none was made
     */
    public record Station(
            long id,
            long roomId,
            String name,
            StationState state,
            @Nullable String checkedBy,
            @Nullable String remark) {}

    /** @return what is looked after in a room, in the order of its kinds */
    public List<Station> of(long roomId) {
        return fetch(STATION.ROOM_ID.eq(roomId));
    }

    public Optional<Station> byId(long id) {
        return fetch(STATION.ID.eq(id)).stream().findFirst();
    }

    private List<Station> fetch(Condition condition) {
        Map<Long, Kit> contents = kits.of(
                select(STATION.ID).from(STATION).where(condition.and(STATION.KIND.eq(StationCheck.SPILL_KIT.name()))));
        var newest = select(max(STATION_CHECK.ID)).from(STATION_CHECK).where(STATION_CHECK.STATION_ID.eq(STATION.ID));
        return sql.select(STATION.fields())
                .select(STATION_CHECK.fields())
                .select(PERSON.NAME)
                .from(STATION)
                .leftJoin(STATION_CHECK)
                .on(STATION_CHECK.ID.eq(newest))
                .leftJoin(PERSON)
                .on(PERSON.ID.eq(STATION_CHECK.PERSON_ID))
                .where(condition)
                .orderBy(STATION.ID)
                .fetch(r -> new Station(
                        r.get(STATION.ID),
                        r.get(STATION.ROOM_ID),
                        r.get(STATION.NAME),
                        new StationState(
                                StationCheck.valueOf(r.get(STATION.KIND)),
                                r.get(STATION_CHECK.CHECKED_AT),
                                r.get(STATION_CHECK.SOUND) == null || r.get(STATION_CHECK.SOUND),
                                contents.getOrDefault(r.get(STATION.ID), Kit.NONE)),
                        r.get(PERSON.NAME),
                        r.get(STATION_CHECK.REMARK)));
    }

    public long add(long roomId, StationCheck kind, String name) {
        return sql.insertInto(STATION)
                .set(STATION.ROOM_ID, roomId)
                .set(STATION.KIND, kind.name())
                .set(STATION.NAME, name)
                .returning(STATION.ID)
                .fetchSingle(STATION.ID);
    }

    public void check(long stationId, boolean sound, String remark, long personId) {
        check(stationId, clock.instant(), sound, remark, personId);
    }

    /** The same for a check that was made before it is written down. */
    public void check(long stationId, Instant at, boolean sound, String remark, long personId) {
        sql.insertInto(STATION_CHECK)
                .set(STATION_CHECK.STATION_ID, stationId)
                .set(STATION_CHECK.CHECKED_AT, at)
                .set(STATION_CHECK.PERSON_ID, personId)
                .set(STATION_CHECK.SOUND, sound)
                .set(STATION_CHECK.REMARK, remark)
                .execute();
    }
}
