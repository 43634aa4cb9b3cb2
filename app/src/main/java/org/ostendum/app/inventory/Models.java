package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.BATTERY_MODEL;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.jooq.tables.records.BatteryModelRecord;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.life.Prices;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.receive.DateScheme;
import org.springframework.stereotype.Repository;

/** The battery models of the site. */
@Repository
public class Models {
    private final DSLContext sql;

    Models(DSLContext sql) {
        this.sql = sql;
    }

    public List<StoredModel> all() {
        return sql.selectFrom(BATTERY_MODEL).orderBy(BATTERY_MODEL.CODE).fetch(Models::model);
    }

    public Optional<StoredModel> byId(long id) {
        return sql.selectFrom(BATTERY_MODEL).where(BATTERY_MODEL.ID.eq(id)).fetchOptional(Models::model);
    }

    public Optional<StoredModel> byCode(String code) {
        return sql.selectFrom(BATTERY_MODEL).where(BATTERY_MODEL.CODE.eq(code)).fetchOptional(Models::model);
    }

    /** @return the id given to it; {@code model.id()} is ignored */
    public long add(StoredModel model) {
        return sql.insertInto(BATTERY_MODEL)
                .set(columns(model))
                .set(unknowns(model))
                .returningResult(BATTERY_MODEL.ID)
                .fetchSingle()
                .value1();
    }

    /** How often it has been changed; by it a change of what somebody else has changed meanwhile is known. */
    public int version(long id) {
        return sql.select(BATTERY_MODEL.VERSION)
                .from(BATTERY_MODEL)
                .where(BATTERY_MODEL.ID.eq(id))
                .fetchSingle()
                .value1();
    }

    /**
     * @param seen version that was shown; null for one never shown
     * @return whether it was changed: not where somebody else has changed it since
     */
    public boolean change(StoredModel model, @Nullable Integer seen) {
        return sql.update(BATTERY_MODEL)
                        .set(columns(model))
                        .set(unknowns(model))
                        .set(BATTERY_MODEL.VERSION, BATTERY_MODEL.VERSION.plus(1))
                        .where(BATTERY_MODEL.ID.eq(model.id()).and(BATTERY_MODEL.VERSION.eq(seen)))
                        .execute()
                == 1;
    }

    private static Map<Field<?>, Object> columns(StoredModel stored) {
        BatteryModel model = stored.model();
        GravityMarks marks = model.marks();
        return Map.ofEntries(
                Map.entry(BATTERY_MODEL.CODE, model.code()),
                Map.entry(BATTERY_MODEL.MAKER, stored.maker()),
                Map.entry(BATTERY_MODEL.KIND, model.kind().name()),
                Map.entry(BATTERY_MODEL.DUTY, model.duty().name()),
                Map.entry(BATTERY_MODEL.CELLS_PER_CASE, (short) model.layout().cellsPerCase()),
                Map.entry(BATTERY_MODEL.LAYOUT, model.layout().text()),
                Map.entry(BATTERY_MODEL.CELLS, (short) model.cells()),
                Map.entry(
                        BATTERY_MODEL.CAPACITY_AH,
                        BigDecimal.valueOf(model.capacity().tenths(), 1)),
                Map.entry(BATTERY_MODEL.RATE_HOURS, BigDecimal.valueOf(model.rateHours())),
                Map.entry(BATTERY_MODEL.SG_EMPTY, (short) marks.empty().points()),
                Map.entry(
                        BATTERY_MODEL.SG_RECHARGE, (short) marks.rechargeBelow().points()),
                Map.entry(BATTERY_MODEL.SG_FULL_FROM, (short) marks.fullFrom().points()),
                Map.entry(BATTERY_MODEL.SG_FULL_TO, (short) marks.fullTo().points()),
                Map.entry(BATTERY_MODEL.LEVEL_MARK_MM, (short) stored.levelMarkMm()),
                Map.entry(BATTERY_MODEL.LEVEL_WORDS, stored.levelWords()),
                Map.entry(BATTERY_MODEL.WEIGHT_KG, (short) stored.weightKg()),
                Map.entry(BATTERY_MODEL.CABLE_SIDE, stored.cablesLeft() ? "LEFT" : "RIGHT"),
                Map.entry(BATTERY_MODEL.DATE_SCHEME, stored.dateScheme().name()),
                Map.entry(BATTERY_MODEL.CONNECTOR, stored.connector()),
                Map.entry(BATTERY_MODEL.OPPORTUNITY, stored.opportunity()));
    }

    /** What a sheet or a site may be silent on. */
    private static BatteryModelRecord unknowns(StoredModel stored) {
        BatteryModelRecord row = new BatteryModelRecord();
        row.setPostTorqueNm(stored.torqueTenths() == 0 ? null : BigDecimal.valueOf(stored.torqueTenths(), 1));
        @Nullable Prices prices = stored.prices();
        row.setPriceNew(prices == null ? null : BigDecimal.valueOf(prices.newBattery()));
        row.setPriceCell(prices == null ? null : BigDecimal.valueOf(prices.cellRepair()));
        row.setCoreCredit(prices == null ? null : BigDecimal.valueOf(prices.coreCredit()));
        row.setLifeCycles(prices == null ? null : (short) prices.cycles());
        return row;
    }

    private static @Nullable Prices prices(Record r) {
        @Nullable BigDecimal price = r.get(BATTERY_MODEL.PRICE_NEW);
        return price == null
                ? null
                : new Prices(
                        price.doubleValue(),
                        r.get(BATTERY_MODEL.PRICE_CELL).doubleValue(),
                        r.get(BATTERY_MODEL.CORE_CREDIT).doubleValue(),
                        r.get(BATTERY_MODEL.LIFE_CYCLES));
    }

    private static int torqueTenths(@Nullable BigDecimal newtonMetres) {
        return newtonMetres == null ? 0 : newtonMetres.movePointRight(1).intValue();
    }

    static StoredModel model(Record r) {
        BatteryModel model = new BatteryModel(
                r.get(BATTERY_MODEL.CODE),
                CellKind.valueOf(r.get(BATTERY_MODEL.KIND)),
                Duty.valueOf(r.get(BATTERY_MODEL.DUTY)),
                LayoutText.parse(r.get(BATTERY_MODEL.LAYOUT), r.get(BATTERY_MODEL.CELLS_PER_CASE)),
                AmpHours.of(r.get(BATTERY_MODEL.CAPACITY_AH).doubleValue()),
                r.get(BATTERY_MODEL.RATE_HOURS).doubleValue(),
                GravityMarks.ofPoints(
                        r.get(BATTERY_MODEL.SG_EMPTY),
                        r.get(BATTERY_MODEL.SG_RECHARGE),
                        r.get(BATTERY_MODEL.SG_FULL_FROM),
                        r.get(BATTERY_MODEL.SG_FULL_TO)));
        return new StoredModel(
                r.get(BATTERY_MODEL.ID),
                model,
                r.get(BATTERY_MODEL.MAKER),
                r.get(BATTERY_MODEL.LEVEL_MARK_MM),
                r.get(BATTERY_MODEL.LEVEL_WORDS),
                r.get(BATTERY_MODEL.WEIGHT_KG),
                r.get(BATTERY_MODEL.CABLE_SIDE).equals("LEFT"),
                DateScheme.valueOf(r.get(BATTERY_MODEL.DATE_SCHEME)),
                torqueTenths(r.get(BATTERY_MODEL.POST_TORQUE_NM)),
                r.get(BATTERY_MODEL.CONNECTOR),
                r.get(BATTERY_MODEL.OPPORTUNITY),
                prices(r));
    }
}
