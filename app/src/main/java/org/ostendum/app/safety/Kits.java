package org.ostendum.app.safety;

import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.select;
import static org.ostendum.app.db.jooq.Tables.KIT_LINE;

import java.time.Clock;
import java.util.Map;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Record1;
import org.jooq.Select;
import org.ostendum.core.safety.Kit;
import org.ostendum.core.safety.KitItem;
import org.springframework.stereotype.Repository;

/** What lies in the spill kits. Each change is a line of its own, so that it stays known who took what out. */
@Repository
public class Kits {
    /** Written of an item that no longer belongs into its kit. */
    private static final String STRUCK = "STRUCK";

    private final DSLContext sql;
    private final Clock clock;

    Kits(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** @return what belongs into each of these stations, by the station's id; stations without contents are left out */
    Map<Long, Kit> of(Select<Record1<Long>> stationIds) {
        var newest = select(max(KIT_LINE.ID))
                .from(KIT_LINE)
                .where(KIT_LINE.STATION_ID.in(stationIds))
                .groupBy(KIT_LINE.STATION_ID, KIT_LINE.ITEM);
        return sql
                .select(KIT_LINE.fields())
                .from(KIT_LINE)
                .where(KIT_LINE.ID.in(newest).and(KIT_LINE.STANDING.ne(STRUCK)))
                .orderBy(KIT_LINE.ITEM)
                .fetchGroups(
                        KIT_LINE.STATION_ID,
                        r -> new KitItem(
                                r.get(KIT_LINE.ITEM),
                                r.get(KIT_LINE.STANDING).equals("THERE"),
                                r.get(KIT_LINE.EXPIRES_ON)))
                .entrySet()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> new Kit(e.getValue())));
    }

    /** Writes down how an item stands from now on. */
    public void write(long stationId, KitItem item, long personId) {
        line(stationId, item, item.isThere() ? "THERE" : "MISSING", personId);
    }

    public void strike(long stationId, KitItem item, long personId) {
        line(stationId, item, STRUCK, personId);
    }

    private void line(long stationId, KitItem item, String standing, long personId) {
        sql.insertInto(KIT_LINE)
                .set(KIT_LINE.STATION_ID, stationId)
                .set(KIT_LINE.ITEM, item.name())
                .set(KIT_LINE.STANDING, standing)
                .set(KIT_LINE.EXPIRES_ON, item.expires())
                .set(KIT_LINE.WRITTEN_AT, clock.instant())
                .set(KIT_LINE.WRITTEN_BY, personId)
                .execute();
    }
}
