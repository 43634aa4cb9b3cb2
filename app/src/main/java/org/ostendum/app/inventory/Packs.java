package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.TAP;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.Tap;
import org.ostendum.core.wiring.WorkOrder;
import org.springframework.stereotype.Repository;

/** Packs of blocks as they are wired: by the layout of their model, with the taps of the one battery. */
@Repository
public class Packs {
    private final DSLContext sql;

    Packs(DSLContext sql) {
        this.sql = sql;
    }

    /** @return empty for a tray, which comes out as one, and for what is too large to be taken apart by hand */
    public Optional<Pack> of(Battery battery) {
        CellLayout layout = battery.type().model().layout();
        return layout.isPack() && layout.cases().size() <= WorkOrder.MOST_BLOCKS
                ? Optional.of(Pack.of(layout, taps(battery.id())))
                : Optional.empty();
    }

    private List<Tap> taps(long batteryId) {
        return sql.selectFrom(TAP)
                .where(TAP.BATTERY_ID.eq(batteryId))
                .orderBy(TAP.ID)
                .fetch(r -> new Tap(r.getName(), r.getFirstBlock(), r.getLastBlock()));
    }

    /** @throws org.springframework.dao.DuplicateKeyException where it has a tap of this name */
    public void addTap(long batteryId, Tap tap, Instant since) {
        sql.insertInto(TAP)
                .set(TAP.BATTERY_ID, batteryId)
                .set(TAP.NAME, tap.name())
                .set(TAP.FIRST_BLOCK, tap.first())
                .set(TAP.LAST_BLOCK, tap.last())
                .set(TAP.SINCE, since)
                .execute();
    }

    /** @return since when each tap has hung where it hangs, by its name */
    public Map<String, Instant> tapsSince(long batteryId) {
        return sql.selectFrom(TAP).where(TAP.BATTERY_ID.eq(batteryId)).fetchMap(TAP.NAME, TAP.SINCE);
    }

    /** Hangs a tap on other blocks. */
    public void moveTap(long batteryId, Tap to, Instant at) {
        sql.update(TAP)
                .set(TAP.FIRST_BLOCK, to.first())
                .set(TAP.LAST_BLOCK, to.last())
                .set(TAP.SINCE, at)
                .where(TAP.BATTERY_ID.eq(batteryId))
                .and(TAP.NAME.eq(to.name()))
                .execute();
    }

    public void removeTap(long batteryId, String name) {
        sql.deleteFrom(TAP)
                .where(TAP.BATTERY_ID.eq(batteryId))
                .and(TAP.NAME.eq(name))
                .execute();
    }
}
