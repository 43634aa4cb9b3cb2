package org.ostendum.app.state;

import static org.ostendum.app.db.jooq.Tables.BATTERY_STATE;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.ostendum.app.db.Sha256;
import org.ostendum.app.db.jooq.tables.records.BatteryStateRecord;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.Snapshot;
import org.springframework.stereotype.Repository;

/** Where the fold of each battery stands: a projection that can be made anew from ledger and rounds at any time. */
@Repository
public class States {
    /** Of a site of many batteries; what is beyond it is read anew. */
    private static final int MOST_HELD = 5000;

    private static final int MOST_NAMED = 500;

    private final DSLContext sql;
    /** By the hash of their text, so that none can be another than the one on record, whoever has written it. */
    private final Cache<String, Snapshot> read =
            Caffeine.newBuilder().maximumSize(MOST_HELD).build();

    States(DSLContext sql) {
        this.sql = sql;
    }

    public Map<Long, StoredState> of(Collection<Long> batteryIds) {
        Map<Long, StoredState> found = new HashMap<>();
        Set<Long> unread = new HashSet<>();
        sql.select(
                        BATTERY_STATE.BATTERY_ID,
                        BATTERY_STATE.ROUND_ID,
                        BATTERY_STATE.SEVERITY,
                        BATTERY_STATE.RULES_REVISION,
                        BATTERY_STATE.SNAPSHOT_HASH)
                .from(BATTERY_STATE)
                .where(among(batteryIds))
                .forEach(row -> {
                    String hash = row.get(BATTERY_STATE.SNAPSHOT_HASH);
                    Snapshot held = hash == null ? null : read.getIfPresent(hash);
                    if (held == null) {
                        unread.add(row.get(BATTERY_STATE.BATTERY_ID));
                    } else {
                        found.put(row.get(BATTERY_STATE.BATTERY_ID), state(row, held));
                    }
                });
        if (!unread.isEmpty()) {
            sql.selectFrom(BATTERY_STATE)
                    .where(among(unread))
                    .forEach(row -> found.put(row.getBatteryId(), state(row, parsed(row))));
        }
        return found;
    }

    /** To name thousands of batteries one by one takes the database longer than to tell of a few that were not asked for. */
    private static Condition among(Collection<Long> batteryIds) {
        return batteryIds.size() > MOST_NAMED ? DSL.noCondition() : BATTERY_STATE.BATTERY_ID.in(batteryIds);
    }

    private Snapshot parsed(BatteryStateRecord row) {
        Snapshot snapshot = SnapshotText.read(row.getSnapshot());
        if (row.getSnapshotHash() != null) {
            read.put(row.getSnapshotHash(), snapshot);
        }
        return snapshot;
    }

    public void keep(StoredState state) {
        BatteryStateRecord row = sql.newRecord(BATTERY_STATE);
        row.setBatteryId(state.batteryId());
        row.setRoundId(state.roundId());
        row.setSeverity(state.severity().name());
        String text = SnapshotText.write(state.snapshot());
        row.setSnapshot(text);
        row.setSnapshotHash(Sha256.hex(text));
        row.setRulesRevision(state.rulesRevision());
        sql.insertInto(BATTERY_STATE).set(row).onDuplicateKeyUpdate().set(row).execute();
    }

    private static StoredState state(Record r, Snapshot snapshot) {
        return new StoredState(
                r.get(BATTERY_STATE.BATTERY_ID),
                r.get(BATTERY_STATE.ROUND_ID),
                Severity.valueOf(r.get(BATTERY_STATE.SEVERITY)),
                snapshot,
                r.get(BATTERY_STATE.RULES_REVISION));
    }
}
