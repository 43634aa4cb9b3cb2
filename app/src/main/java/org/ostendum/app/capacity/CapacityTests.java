package org.ostendum.app.capacity;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.BATTERY_MODEL;
import static org.ostendum.app.db.jooq.Tables.CAPACITY_ROW;
import static org.ostendum.app.db.jooq.Tables.CAPACITY_TEST;
import static org.ostendum.app.db.jooq.Tables.LEDGER_ENTRY;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.capacity.CapacityTest.EndKind;
import org.ostendum.app.capacity.CapacityTest.State;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.capacity.TestKind;
import org.ostendum.core.capacity.TestRow;
import org.ostendum.core.capacity.TestSheet;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Repository;

/** Discharge tests and what was read in them. */
@Repository
public class CapacityTests {
    /** A later line corrects the one that tells the test: it counts no more. */
    private static final Field<Boolean> TAKEN_BACK = DSL.field(DSL.exists(
            DSL.selectOne().from(LEDGER_ENTRY).where(LEDGER_ENTRY.CORRECTS_ID.eq(CAPACITY_TEST.LEDGER_ENTRY_ID))));

    private final DSLContext sql;

    CapacityTests(DSLContext sql) {
        this.sql = sql;
    }

    /** @return its id; empty where a test of the battery is open already */
    Optional<Long> begin(long batteryId, TestSheet sheet, boolean byBank, String doubts, long by, Instant now) {
        try {
            return Optional.of(sql.insertInto(CAPACITY_TEST)
                    .set(CAPACITY_TEST.BATTERY_ID, batteryId)
                    .set(CAPACITY_TEST.OPEN_BATTERY_ID, batteryId)
                    .set(CAPACITY_TEST.KIND, sheet.kind().name())
                    .set(CAPACITY_TEST.AMPERES, sheet.amperes().amperes())
                    .set(CAPACITY_TEST.LASTS_S, (int) sheet.lasts().toSeconds())
                    .set(CAPACITY_TEST.CELLS, (short) sheet.cells())
                    .set(CAPACITY_TEST.CELLS_PER_LEAD, (short) sheet.cellsPerLead())
                    .set(CAPACITY_TEST.CELSIUS, sheet.electrolyte().degrees())
                    .set(CAPACITY_TEST.BY_BANK, byBank)
                    .set(CAPACITY_TEST.BEGUN_AT, now)
                    .set(CAPACITY_TEST.BEGUN_BY, by)
                    .set(CAPACITY_TEST.DOUBTS, doubts)
                    .set(CAPACITY_TEST.STATE, State.RUNNING.name())
                    .returningResult(CAPACITY_TEST.ID)
                    .fetchSingle()
                    .value1());
        } catch (DuplicateKeyException e) {
            return Optional.empty();
        }
    }

    /** The line in the ledger that tells it. */
    void told(long id, long ledgerEntryId) {
        sql.update(CAPACITY_TEST)
                .set(CAPACITY_TEST.LEDGER_ENTRY_ID, ledgerEntryId)
                .where(CAPACITY_TEST.ID.eq(id))
                .execute();
    }

    /** @return who began it */
    long beginner(long id) {
        return sql.select(CAPACITY_TEST.BEGUN_BY)
                .from(CAPACITY_TEST)
                .where(CAPACITY_TEST.ID.eq(id))
                .fetchSingle()
                .value1();
    }

    /** Which of its tests the load bank counts it as. */
    void counted(long id, int starts) {
        sql.update(CAPACITY_TEST)
                .set(CAPACITY_TEST.BANK_START, starts)
                .where(CAPACITY_TEST.ID.eq(id).and(CAPACITY_TEST.BANK_START.isNull()))
                .execute();
    }

    void interrupted(long id, Instant at) {
        sql.update(CAPACITY_TEST)
                .set(CAPACITY_TEST.STATE, State.INTERRUPTED.name())
                .set(CAPACITY_TEST.INTERRUPTED_AT, at)
                .where(CAPACITY_TEST.ID.eq(id).and(CAPACITY_TEST.STATE.eq(State.RUNNING.name())))
                .execute();
    }

    /** @param byBank whether the load bank goes on with it, or a person by hand */
    void resumed(long id, boolean byBank) {
        sql.update(CAPACITY_TEST)
                .set(CAPACITY_TEST.STATE, State.RUNNING.name())
                .set(CAPACITY_TEST.BY_BANK, byBank)
                .setNull(CAPACITY_TEST.INTERRUPTED_AT)
                .where(CAPACITY_TEST.ID.eq(id).and(CAPACITY_TEST.STATE.eq(State.INTERRUPTED.name())))
                .execute();
    }

    /** @return whether it ended now: not where somebody has ended it already */
    boolean end(long id, EndKind how, String reason, @Nullable Double part, @Nullable Long by, Instant at) {
        return sql.update(CAPACITY_TEST)
                        .set(CAPACITY_TEST.STATE, State.ENDED.name())
                        .set(CAPACITY_TEST.ENDED_AT, at)
                        .set(CAPACITY_TEST.ENDED_BY, by)
                        .set(CAPACITY_TEST.END_KIND, how.name())
                        .set(CAPACITY_TEST.END_REASON, reason)
                        .set(CAPACITY_TEST.PART, part)
                        .setNull(CAPACITY_TEST.OPEN_BATTERY_ID)
                        .where(CAPACITY_TEST.ID.eq(id).and(CAPACITY_TEST.ENDED_AT.isNull()))
                        .execute()
                == 1;
    }

    public List<CapacityTest> open() {
        return fetch(CAPACITY_TEST.ENDED_AT.isNull());
    }

    /** @return code of the battery that the load bank tests; empty while it is free */
    Optional<String> onBank() {
        return fetch(CAPACITY_TEST.ENDED_AT.isNull().and(CAPACITY_TEST.BY_BANK)).stream()
                .map(CapacityTest::battery)
                .findFirst();
    }

    public Optional<CapacityTest> openOf(long batteryId) {
        return fetch(CAPACITY_TEST.OPEN_BATTERY_ID.eq(batteryId)).stream().findFirst();
    }

    /** @return every test of a battery, oldest first */
    public List<CapacityTest> of(long batteryId) {
        return fetch(CAPACITY_TEST.BATTERY_ID.eq(batteryId));
    }

    Optional<CapacityTest> byId(long id) {
        return fetch(CAPACITY_TEST.ID.eq(id)).stream().findFirst();
    }

    private List<CapacityTest> fetch(Condition which) {
        return sql.select(CAPACITY_TEST.fields())
                .select(BATTERY.CODE, BATTERY_MODEL.DUTY, PERSON.NAME, TAKEN_BACK)
                .from(CAPACITY_TEST)
                .join(BATTERY)
                .on(BATTERY.ID.eq(CAPACITY_TEST.BATTERY_ID))
                .join(BATTERY_MODEL)
                .on(BATTERY_MODEL.ID.eq(BATTERY.MODEL_ID))
                .join(PERSON)
                .on(PERSON.ID.eq(CAPACITY_TEST.BEGUN_BY))
                .where(which)
                .orderBy(CAPACITY_TEST.BEGUN_AT, CAPACITY_TEST.ID)
                .fetch(CapacityTests::test);
    }

    private static CapacityTest test(Record r) {
        return new CapacityTest(
                r.get(CAPACITY_TEST.ID),
                r.get(CAPACITY_TEST.BATTERY_ID),
                r.get(BATTERY.CODE),
                new TestSheet(
                        TestKind.valueOf(r.get(CAPACITY_TEST.KIND)),
                        Duty.valueOf(r.get(BATTERY_MODEL.DUTY)),
                        new Amperes(r.get(CAPACITY_TEST.AMPERES)),
                        Duration.ofSeconds(r.get(CAPACITY_TEST.LASTS_S)),
                        r.get(CAPACITY_TEST.CELLS),
                        r.get(CAPACITY_TEST.CELLS_PER_LEAD),
                        Celsius.of(r.get(CAPACITY_TEST.CELSIUS))),
                new CapacityTest.Begun(
                        r.get(CAPACITY_TEST.BEGUN_AT),
                        r.get(PERSON.NAME),
                        r.get(CAPACITY_TEST.BY_BANK) ? new CapacityTest.OnBank(r.get(CAPACITY_TEST.BANK_START)) : null,
                        r.get(CAPACITY_TEST.DOUBTS)),
                State.valueOf(r.get(CAPACITY_TEST.STATE)),
                r.get(CAPACITY_TEST.INTERRUPTED_AT),
                r.get(CAPACITY_TEST.ENDED_AT) == null ? null : end(r));
    }

    private static CapacityTest.End end(Record r) {
        boolean takenBack = Boolean.TRUE.equals(r.get(TAKEN_BACK));
        return new CapacityTest.End(
                r.get(CAPACITY_TEST.ENDED_AT),
                EndKind.valueOf(r.get(CAPACITY_TEST.END_KIND)),
                Objects.toString(r.get(CAPACITY_TEST.END_REASON), ""),
                takenBack ? null : r.get(CAPACITY_TEST.PART),
                takenBack);
    }

    /** A second reading of the same second is the same reading. */
    void read(long id, TestRow row) {
        sql.insertInto(CAPACITY_ROW)
                .set(CAPACITY_ROW.TEST_ID, id)
                .set(CAPACITY_ROW.ELAPSED_S, (int) row.elapsed().toSeconds())
                .set(CAPACITY_ROW.VOLTS, row.volts())
                .set(CAPACITY_ROW.AMPERES, row.amperes())
                .set(
                        CAPACITY_ROW.LEADS,
                        row.leads().stream()
                                .map(v -> String.format(Locale.ROOT, "%.3f", v))
                                .collect(Collectors.joining(" ")))
                .onDuplicateKeyIgnore()
                .execute();
    }

    List<TestRow> rows(long id) {
        return sql.selectFrom(CAPACITY_ROW)
                .where(CAPACITY_ROW.TEST_ID.eq(id))
                .orderBy(CAPACITY_ROW.ELAPSED_S)
                .fetch(r -> new TestRow(
                        Duration.ofSeconds(r.getElapsedS()), r.getVolts(), r.getAmperes(), leads(r.getLeads())));
    }

    private static List<Double> leads(String text) {
        List<Double> leads = new ArrayList<>();
        if (!text.isEmpty()) {
            for (String lead : text.split(" ", -1)) {
                leads.add(Double.valueOf(lead));
            }
        }
        return leads;
    }
}
