package org.ostendum.app.voltage;

import static org.ostendum.app.db.jooq.Tables.LEDGER_ENTRY;
import static org.ostendum.app.db.jooq.Tables.VOLTAGE_READING;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.voltage.VoltageRound;
import org.ostendum.core.voltage.VoltageRound.Load;
import org.springframework.stereotype.Repository;

/** Voltages read cell by cell or block by block; each reading hangs on its line of the ledger. */
@Repository
public class Voltages {
    private final DSLContext sql;

    Voltages(DSLContext sql) {
        this.sql = sql;
    }

    /** How the battery was worked while they were read, from the line's payload. */
    private static final Field<String> LOAD =
            DSL.field("json_value({0}, '$.load')", String.class, LEDGER_ENTRY.PAYLOAD);

    public void keep(long ledgerEntryId, Map<Integer, Volts> byPlace) {
        sql.batch(byPlace.entrySet().stream()
                        .map(e -> sql.insertInto(VOLTAGE_READING)
                                .set(VOLTAGE_READING.LEDGER_ENTRY_ID, ledgerEntryId)
                                .set(VOLTAGE_READING.PLACE, e.getKey().shortValue())
                                .set(VOLTAGE_READING.MILLIVOLTS, e.getValue().millivolts()))
                        .toList())
                .execute();
    }

    /** @return the newest voltages of a battery read at rest, or under load */
    public Optional<VoltageRound> last(long batteryId, Load load) {
        return sql.select(LEDGER_ENTRY.ID, LEDGER_ENTRY.HAPPENED_AT)
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY
                        .BATTERY_ID
                        .eq(batteryId)
                        .and(LEDGER_ENTRY.KIND.eq(EntryKind.VOLTAGE.name()))
                        .and(LOAD.eq(load.name())))
                .orderBy(LEDGER_ENTRY.SEQ.desc())
                .limit(1)
                .fetchOptional(r -> round(r.value1(), r.value2(), load));
    }

    private VoltageRound round(long ledgerEntryId, Instant at, Load load) {
        Map<Integer, Volts> byPlace = new TreeMap<>();
        sql.select(VOLTAGE_READING.PLACE, VOLTAGE_READING.MILLIVOLTS)
                .from(VOLTAGE_READING)
                .where(VOLTAGE_READING.LEDGER_ENTRY_ID.eq(ledgerEntryId))
                .forEach(r -> byPlace.put((int) r.value1(), new Volts(r.value2())));
        return new VoltageRound(at, load, byPlace);
    }
}
