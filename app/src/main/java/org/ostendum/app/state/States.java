package org.ostendum.app.state;

import static org.ostendum.app.db.jooq.Tables.BATTERY_STATE;

import java.util.Collection;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.ostendum.app.db.jooq.tables.records.BatteryStateRecord;
import org.ostendum.core.rulebook.Severity;
import org.springframework.stereotype.Repository;

/** Where the fold of each battery stands: a projection that can be made anew from ledger and rounds at any time. */
@Repository
public class States {
    private final DSLContext sql;

    States(DSLContext sql) {
        this.sql = sql;
    }

    public Map<Long, StoredState> of(Collection<Long> batteryIds) {
        return sql.selectFrom(BATTERY_STATE)
                .where(BATTERY_STATE.BATTERY_ID.in(batteryIds))
                .fetchMap(BATTERY_STATE.BATTERY_ID, States::state);
    }

    public void keep(StoredState state) {
        BatteryStateRecord row = sql.newRecord(BATTERY_STATE);
        row.setBatteryId(state.batteryId());
        row.setRoundId(state.roundId());
        row.setSeverity(state.severity().name());
        row.setSnapshot(SnapshotText.write(state.snapshot()));
        row.setRulesRevision(state.rulesRevision());
        sql.insertInto(BATTERY_STATE).set(row).onDuplicateKeyUpdate().set(row).execute();
    }

    private static StoredState state(Record r) {
        return new StoredState(
                r.get(BATTERY_STATE.BATTERY_ID),
                r.get(BATTERY_STATE.ROUND_ID),
                Severity.valueOf(r.get(BATTERY_STATE.SEVERITY)),
                SnapshotText.read(r.get(BATTERY_STATE.SNAPSHOT)),
                r.get(BATTERY_STATE.RULES_REVISION));
    }
}
