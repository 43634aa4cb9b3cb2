package org.ostendum.web.store;

import static org.ostendum.web.store.jooq.Tables.BATTERY_STATE;

import java.util.Collection;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.ostendum.core.measure.Happenings;
import org.ostendum.web.store.jooq.tables.records.BatteryStateRecord;
import org.springframework.stereotype.Repository;

/** The present state of each battery: a projection that can be made anew from ledger and rounds at any time. */
@Repository
public class States {
    private final DSLContext sql;

    States(DSLContext sql) {
        this.sql = sql;
    }

    public Map<Long, BatteryState> of(Collection<Long> batteryIds) {
        return sql.selectFrom(BATTERY_STATE)
                .where(BATTERY_STATE.BATTERY_ID.in(batteryIds))
                .fetchMap(BATTERY_STATE.BATTERY_ID, States::state);
    }

    public void keep(BatteryState state) {
        BatteryStateRecord row = sql.newRecord(BATTERY_STATE);
        row.setBatteryId(state.batteryId());
        row.setRoundId(state.roundId());
        row.setRoundTakenAt(state.roundTakenAt());
        row.setSeverity(state.verdict().severity().name());
        row.setVerdict(VerdictText.write(state.verdict()).toString());
        row.setCourse(CourseText.write(state.course()));
        row.setJudgedAt(state.judgedAt());
        row.setRulesRevision(state.rulesRevision());
        Happenings happenings = state.happenings();
        row.setWaterAt(happenings.water());
        row.setChargeStartAt(happenings.chargeStart());
        row.setChargeEndAt(happenings.chargeEnd());
        row.setEqualiseEndAt(happenings.equaliseEnd());
        row.setDischargeAt(happenings.discharge());
        row.setWashAt(state.washedAt());
        row.setChargesSinceWater(happenings.chargesSinceWater());
        sql.insertInto(BATTERY_STATE).set(row).onDuplicateKeyUpdate().set(row).execute();
    }

    private static BatteryState state(Record r) {
        return new BatteryState(
                r.get(BATTERY_STATE.BATTERY_ID),
                r.get(BATTERY_STATE.ROUND_ID),
                r.get(BATTERY_STATE.ROUND_TAKEN_AT),
                VerdictText.read(Payload.read(r.get(BATTERY_STATE.VERDICT))),
                CourseText.read(r.get(BATTERY_STATE.COURSE)),
                r.get(BATTERY_STATE.JUDGED_AT),
                r.get(BATTERY_STATE.RULES_REVISION),
                new Happenings(
                        r.get(BATTERY_STATE.WATER_AT),
                        r.get(BATTERY_STATE.CHARGE_START_AT),
                        r.get(BATTERY_STATE.CHARGE_END_AT),
                        r.get(BATTERY_STATE.EQUALISE_END_AT),
                        r.get(BATTERY_STATE.DISCHARGE_AT),
                        r.get(BATTERY_STATE.CHARGES_SINCE_WATER)),
                r.get(BATTERY_STATE.WASH_AT));
    }
}
