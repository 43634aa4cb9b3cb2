package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.SLOT;
import static org.ostendum.app.db.jooq.Tables.STAND;

import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.springframework.stereotype.Repository;

/** Stands, bays and benches: rows of places on the floor of a room. */
@Repository
public class Stands {
    private final DSLContext sql;

    Stands(DSLContext sql) {
        this.sql = sql;
    }

    /** @return by its name, or else by its code */
    public Optional<Stand> named(long roomId, String name) {
        return sql.selectFrom(STAND)
                .where(STAND.ROOM_ID.eq(roomId).and(STAND.NAME.eq(name).or(STAND.CODE.eq(name))))
                .orderBy(STAND.NAME.eq(name).desc())
                .limit(1)
                .fetchOptional(Stands::stand);
    }

    public Optional<Stand> byCode(long roomId, String code) {
        return sql.selectFrom(STAND)
                .where(STAND.ROOM_ID.eq(roomId).and(STAND.CODE.eq(code)))
                .fetchOptional(Stands::stand);
    }

    private static Stand stand(Record r) {
        return stand(r, List.of());
    }

    static Stand stand(Record r, List<Slot> slots) {
        return new Stand(
                r.get(STAND.ID),
                r.get(STAND.CODE),
                r.get(STAND.NAME),
                StandKind.valueOf(r.get(STAND.KIND)),
                r.get(STAND.X_CM),
                r.get(STAND.Y_CM),
                r.get(STAND.WIDTH_CM),
                r.get(STAND.DEPTH_CM),
                slots);
    }

    /** @return its id; {@code stand.id()} and its slots are ignored */
    public long add(long roomId, Stand stand) {
        return sql.insertInto(STAND)
                .set(STAND.ROOM_ID, roomId)
                .set(STAND.CODE, stand.code())
                .set(STAND.NAME, stand.name())
                .set(STAND.KIND, stand.kind().name())
                .set(STAND.X_CM, stand.xCm())
                .set(STAND.Y_CM, stand.yCm())
                .set(STAND.WIDTH_CM, stand.widthCm())
                .set(STAND.DEPTH_CM, stand.depthCm())
                .returningResult(STAND.ID)
                .fetchSingle()
                .value1();
    }

    /** Gives it the name, kind and rectangle of {@code stand}; its code and places stay. */
    public void change(Stand stand) {
        sql.update(STAND)
                .set(STAND.NAME, stand.name())
                .set(STAND.KIND, stand.kind().name())
                .set(STAND.X_CM, stand.xCm())
                .set(STAND.Y_CM, stand.yCm())
                .set(STAND.WIDTH_CM, stand.widthCm())
                .set(STAND.DEPTH_CM, stand.depthCm())
                .where(STAND.ID.eq(stand.id()))
                .execute();
    }

    /** Removes one that has no places. */
    public void removeIfEmpty(long id) {
        sql.deleteFrom(STAND)
                .where(STAND.ID.eq(id))
                .andNotExists(sql.selectOne().from(SLOT).where(SLOT.STAND_ID.eq(id)))
                .execute();
    }
}
