package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.PACK_CABLE;
import static org.ostendum.app.db.jooq.Tables.PACK_FITTING;
import static org.ostendum.app.db.jooq.Tables.PACK_LAYOUT;
import static org.ostendum.app.db.jooq.Tables.TAP;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.wiring.Fitting;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.Tap;
import org.ostendum.core.wiring.WorkOrder;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Packs of blocks as they are wired: by the layout of their model, with the taps of the one battery. */
@Repository
public class Packs {
    private final DSLContext sql;

    Packs(DSLContext sql) {
        this.sql = sql;
    }

    /** @return empty for a tray, which comes out as one, and for what is too large to be taken apart by hand */
    public Optional<Pack> of(Battery battery) {
        CellLayout layout = battery.layout();
        return layout.isPack() && layout.cases().size() <= WorkOrder.MOST_BLOCKS
                ? Optional.of(Pack.of(layout, taps(battery.id()), fittings(battery.id())))
                : Optional.empty();
    }

    /** Keeps how its blocks stand; the model's own layout leaves nothing to be kept. */
    public void keepLayout(Battery battery, CellLayout layout) {
        if (layout.equals(battery.type().model().layout())) {
            sql.deleteFrom(PACK_LAYOUT)
                    .where(PACK_LAYOUT.BATTERY_ID.eq(battery.id()))
                    .execute();
            return;
        }
        sql.insertInto(PACK_LAYOUT)
                .set(PACK_LAYOUT.BATTERY_ID, battery.id())
                .set(PACK_LAYOUT.LAYOUT, layout.text())
                .onDuplicateKeyUpdate()
                .set(PACK_LAYOUT.LAYOUT, layout.text())
                .execute();
    }

    private List<Fitting> fittings(long batteryId) {
        return sql.selectFrom(PACK_FITTING)
                .where(PACK_FITTING.BATTERY_ID.eq(batteryId))
                .orderBy(PACK_FITTING.KIND, PACK_FITTING.AT_PLACE)
                .fetch(r -> new Fitting(Fitting.Kind.valueOf(r.getKind()), r.getAtPlace()));
    }

    /** Draws a fitting; a main switch there is one of. */
    @Transactional
    public void addFitting(long batteryId, Fitting fitting) {
        if (fitting.kind() == Fitting.Kind.MAIN_SWITCH) {
            sql.deleteFrom(PACK_FITTING)
                    .where(PACK_FITTING.BATTERY_ID.eq(batteryId))
                    .and(PACK_FITTING.KIND.eq(fitting.kind().name()))
                    .execute();
        }
        sql.insertInto(PACK_FITTING)
                .set(PACK_FITTING.BATTERY_ID, batteryId)
                .set(PACK_FITTING.KIND, fitting.kind().name())
                .set(PACK_FITTING.AT_PLACE, fitting.at())
                .onDuplicateKeyIgnore()
                .execute();
    }

    public void removeFitting(long batteryId, Fitting fitting) {
        sql.deleteFrom(PACK_FITTING)
                .where(PACK_FITTING.BATTERY_ID.eq(batteryId))
                .and(PACK_FITTING.KIND.eq(fitting.kind().name()))
                .and(PACK_FITTING.AT_PLACE.eq(fitting.at()))
                .execute();
    }

    /**
     * What is known of a cable.
     *
     * @param number as it is drawn
     * @param lengthCm null for not measured
     * @param price of a new one; null where nobody has said
     */
    public record CableNote(
            String number, @Nullable Integer lengthCm, String lug, String remark, @Nullable BigDecimal price) {}

    /** @return by the cable's number */
    public Map<String, CableNote> cableNotes(long batteryId) {
        return sql.selectFrom(PACK_CABLE)
                .where(PACK_CABLE.BATTERY_ID.eq(batteryId))
                .fetchMap(
                        PACK_CABLE.NUMBER,
                        r -> new CableNote(
                                r.getNumber(),
                                r.getLengthCm() == null
                                        ? null
                                        : (Integer) r.getLengthCm().intValue(),
                                r.getLug(),
                                r.getRemark(),
                                r.getPrice()));
    }

    public void keepCable(long batteryId, CableNote note) {
        @Nullable
        Short length = note.lengthCm() == null ? null : (Short) note.lengthCm().shortValue();
        sql.insertInto(PACK_CABLE)
                .set(PACK_CABLE.BATTERY_ID, batteryId)
                .set(PACK_CABLE.NUMBER, note.number())
                .set(PACK_CABLE.LENGTH_CM, length)
                .set(PACK_CABLE.LUG, note.lug())
                .set(PACK_CABLE.REMARK, note.remark())
                .set(PACK_CABLE.PRICE, note.price())
                .onDuplicateKeyUpdate()
                .set(PACK_CABLE.LENGTH_CM, length)
                .set(PACK_CABLE.LUG, note.lug())
                .set(PACK_CABLE.REMARK, note.remark())
                .set(PACK_CABLE.PRICE, note.price())
                .execute();
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
