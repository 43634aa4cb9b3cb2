package org.ostendum.app.charge;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.CHARGER;
import static org.ostendum.app.db.jooq.Tables.CHARGE_RUN;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jooq.Record;
import org.jooq.SelectConditionStep;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.ChargeKind;
import org.springframework.stereotype.Repository;

/** Charges on chargers: at most one open for a battery, and for a charger. */
@Repository
public class ChargeRuns {
    private final DSLContext sql;

    ChargeRuns(DSLContext sql) {
        this.sql = sql;
    }

    /**
     * A charge that begins. One that is still open on the battery or the charger has been forgotten and ends with it.
     *
     * @param amps a low current instead of the charger's own course; null for its own
     */
    public long begin(
            long batteryId,
            @Nullable Long chargerId,
            ChargeKind kind,
            Instant at,
            @Nullable Double amps,
            @Nullable Duration lasts) {
        end(batteryId, at);
        if (chargerId != null) {
            close(CHARGE_RUN.OPEN_CHARGER_ID.eq(chargerId), at);
        }
        return sql.insertInto(CHARGE_RUN)
                .set(CHARGE_RUN.BATTERY_ID, batteryId)
                .set(CHARGE_RUN.CHARGER_ID, chargerId)
                .set(CHARGE_RUN.KIND, kind.name())
                .set(CHARGE_RUN.BEGUN_AT, at)
                .set(CHARGE_RUN.OPEN_BATTERY_ID, batteryId)
                .set(CHARGE_RUN.OPEN_CHARGER_ID, chargerId)
                .set(CHARGE_RUN.AMPS_TENTHS, amps == null ? null : (Integer) (int) Math.round(amps * 10))
                .set(CHARGE_RUN.MINUTES, lasts == null ? null : (Integer) (int) lasts.toMinutes())
                .returningResult(CHARGE_RUN.ID)
                .fetchSingle()
                .value1();
    }

    /** @return whether one was open */
    public boolean end(long batteryId, Instant at) {
        return close(CHARGE_RUN.OPEN_BATTERY_ID.eq(batteryId), at) > 0;
    }

    private int close(Condition open, Instant at) {
        return sql.update(CHARGE_RUN)
                .set(CHARGE_RUN.ENDED_AT, at)
                .setNull(CHARGE_RUN.OPEN_BATTERY_ID)
                .setNull(CHARGE_RUN.OPEN_CHARGER_ID)
                .where(open)
                .execute();
    }

    public List<ChargeRun> open() {
        return select(CHARGE_RUN.OPEN_BATTERY_ID.isNotNull()).fetch(ChargeRuns::run);
    }

    public Optional<ChargeRun> openOf(long batteryId) {
        return select(CHARGE_RUN.OPEN_BATTERY_ID.eq(batteryId)).fetchOptional(ChargeRuns::run);
    }

    /** @return the newest first */
    public List<ChargeRun> ofCharger(long chargerId, Instant from) {
        return select(CHARGE_RUN.CHARGER_ID.eq(chargerId).and(CHARGE_RUN.BEGUN_AT.ge(from)))
                .orderBy(CHARGE_RUN.BEGUN_AT.desc())
                .fetch(ChargeRuns::run);
    }

    /** Keeps what the charger has said of a run since. */
    public void keep(List<ChargeRun> heard) {
        sql.batch(heard.stream().map(run -> update(run.id(), run.meter())).toList())
                .execute();
    }

    private Query update(long id, ChargeRun.Meter meter) {
        return sql.update(CHARGE_RUN)
                .set(CHARGE_RUN.DEVICE_STARTS, meter.starts())
                .set(CHARGE_RUN.CURRENT_FROM, meter.from())
                .set(CHARGE_RUN.LAMP_AT, meter.lampAt())
                .set(CHARGE_RUN.AH_TENTHS, tenths(meter.ampHours()))
                .set(CHARGE_RUN.AH_BEFORE_TENTHS, (int) Math.round(meter.ampHoursBefore() * 10))
                .set(CHARGE_RUN.WH_BEFORE, meter.wattHoursBefore())
                .set(CHARGE_RUN.WH, meter.wattHours())
                .set(CHARGE_RUN.CELSIUS_MOST, degrees(meter.hottest()))
                .where(CHARGE_RUN.ID.eq(id));
    }

    private static @Nullable Short degrees(@Nullable Integer value) {
        return value == null ? null : (Short) value.shortValue();
    }

    private static @Nullable Integer tenths(@Nullable Double value) {
        return value == null ? null : (Integer) (int) Math.round(value * 10);
    }

    private SelectConditionStep<Record> select(Condition condition) {
        return sql.select(CHARGE_RUN.fields())
                .select(BATTERY.CODE, CHARGER.CODE)
                .from(CHARGE_RUN)
                .join(BATTERY)
                .on(BATTERY.ID.eq(CHARGE_RUN.BATTERY_ID))
                .leftJoin(CHARGER)
                .on(CHARGER.ID.eq(CHARGE_RUN.CHARGER_ID))
                .where(condition);
    }

    private static ChargeRun run(Record r) {
        @Nullable Integer amps = r.get(CHARGE_RUN.AMPS_TENTHS);
        @Nullable Integer minutes = r.get(CHARGE_RUN.MINUTES);
        @Nullable Integer ampHours = r.get(CHARGE_RUN.AH_TENTHS);
        @Nullable Short hottest = r.get(CHARGE_RUN.CELSIUS_MOST);
        return new ChargeRun(
                r.get(CHARGE_RUN.ID),
                r.get(CHARGE_RUN.BATTERY_ID),
                r.get(BATTERY.CODE),
                r.get(CHARGE_RUN.CHARGER_ID),
                r.get(CHARGER.CODE),
                ChargeKind.valueOf(r.get(CHARGE_RUN.KIND)),
                r.get(CHARGE_RUN.BEGUN_AT),
                r.get(CHARGE_RUN.ENDED_AT),
                amps == null ? null : (Double) (amps / 10.0),
                minutes == null ? null : Duration.ofMinutes(minutes),
                new ChargeRun.Meter(
                        r.get(CHARGE_RUN.DEVICE_STARTS),
                        r.get(CHARGE_RUN.CURRENT_FROM),
                        r.get(CHARGE_RUN.LAMP_AT),
                        ampHours == null ? null : (Double) (ampHours / 10.0),
                        r.get(CHARGE_RUN.AH_BEFORE_TENTHS) / 10.0,
                        r.get(CHARGE_RUN.WH_BEFORE),
                        r.get(CHARGE_RUN.WH),
                        hottest == null ? null : (Integer) (int) hottest));
    }
}
