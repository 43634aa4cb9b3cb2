package org.ostendum.app.ledger;

import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.row;
import static org.jooq.impl.DSL.selectOne;
import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.LEDGER_ENTRY;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Record2;
import org.jooq.SortField;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.ManyRows;
import org.ostendum.app.db.jooq.tables.records.LedgerEntryRecord;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.event.EventLog;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The append-only history of every battery, each battery's lines chained by hash. */
@Repository
public class Ledger {
    private static final org.ostendum.app.db.jooq.tables.LedgerEntry CORRECTED = LEDGER_ENTRY.as("corrected");
    private static final org.ostendum.app.db.jooq.tables.LedgerEntry CORRECTING = LEDGER_ENTRY.as("correcting");

    /** Batteries asked for one by one; beyond, all are. */
    private static final int FEW = 100;

    private final DSLContext sql;
    private final Clock clock;

    /** @param clock by which lines are dated as written */
    Ledger(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** Locks the battery against everybody else who would write of it, before anything is read to decide by. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void lock(long batteryId) {
        sql.select(BATTERY.ID)
                .from(BATTERY)
                .where(BATTERY.ID.eq(batteryId))
                .forUpdate()
                .fetchSingle();
    }

    /**
     * Writes lines at the end of the battery's chain, in their order. Needs a transaction: the battery is locked so that
     * no two lines follow the same one.
     *
     * @return the id of the first line written; the others follow it in order
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<Long> append(long batteryId, List<NewEntry> entries) {
        lock(batteryId);
        Record last = sql.select(LEDGER_ENTRY.SEQ, LEDGER_ENTRY.HASH)
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY.BATTERY_ID.eq(batteryId))
                .orderBy(LEDGER_ENTRY.SEQ.desc())
                .limit(1)
                .fetchOne();
        int seq = last == null ? 0 : last.get(LEDGER_ENTRY.SEQ);
        String previous = last == null ? ChainHash.BEFORE_FIRST : last.get(LEDGER_ENTRY.HASH);
        List<LedgerEntryRecord> records = new ArrayList<>();
        for (NewEntry entry : entries) {
            LedgerEntryRecord line = line(batteryId, ++seq, previous, entry);
            previous = line.getHash();
            records.add(line);
        }
        ManyRows.insert(sql, LEDGER_ENTRY, records);
        sql.update(BATTERY)
                .set(BATTERY.LAST_LINE, seq)
                .where(BATTERY.ID.eq(batteryId))
                .execute();
        return sql.select(LEDGER_ENTRY.ID)
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY.BATTERY_ID.eq(batteryId).and(LEDGER_ENTRY.SEQ.gt(seq - entries.size())))
                .orderBy(LEDGER_ENTRY.SEQ)
                .fetch(LEDGER_ENTRY.ID);
    }

    private LedgerEntryRecord line(long batteryId, int seq, String previous, NewEntry entry) {
        NewEntry exact = new NewEntry(
                entry.kind(),
                micros(entry.happenedAt()),
                entry.personId(),
                entry.cell(),
                entry.quantity(),
                entry.correctsId(),
                entry.payload());
        Instant recordedAt = micros(clock.instant());
        LedgerEntryRecord line = sql.newRecord(LEDGER_ENTRY);
        line.setBatteryId(batteryId);
        line.setSeq(seq);
        line.setKind(exact.kind().name());
        line.setHappenedAt(exact.happenedAt());
        line.setRecordedAt(recordedAt);
        line.setPersonId(exact.personId());
        line.setCell(exact.cell() == null ? null : exact.cell().shortValue());
        line.setQuantity(exact.quantity());
        line.setCorrectsId(exact.correctsId());
        line.setPayload(exact.payload());
        line.setPreviousHash(previous);
        line.setHash(ChainHash.of(previous, batteryId, seq, recordedAt, exact));
        return line;
    }

    /** The column holds microseconds; what is hashed must be what is stored. */
    private static Instant micros(Instant instant) {
        return instant.truncatedTo(ChronoUnit.MICROS);
    }

    /**
     * @param beforeSeq only lines before this one, null for the newest
     * @return the battery's lines, newest first
     */
    public List<LedgerEntry> ofBattery(long batteryId, @Nullable Integer beforeSeq, int limit) {
        Condition page = beforeSeq == null ? noCondition() : LEDGER_ENTRY.SEQ.lt(beforeSeq);
        return fetch(LEDGER_ENTRY.BATTERY_ID.eq(batteryId).and(page), List.of(LEDGER_ENTRY.SEQ.desc()), limit);
    }

    /** The last line of a page of the site's ledger, from which the next one goes on. */
    public record Mark(Instant happenedAt, long id) {}

    /**
     * @param before only lines before this one, null for the newest
     * @return lines of the whole site, the newest happenings first
     */
    public List<LedgerEntry> ofSite(@Nullable Mark before, Sought sought, int limit) {
        Condition page = before == null
                ? noCondition()
                : row(LEDGER_ENTRY.HAPPENED_AT, LEDGER_ENTRY.ID).lt(before.happenedAt(), before.id());
        return fetch(page.and(only(sought)), List.of(LEDGER_ENTRY.HAPPENED_AT.desc(), LEDGER_ENTRY.ID.desc()), limit);
    }

    private static Condition only(Sought sought) {
        Condition only = noCondition();
        if (!sought.battery().isEmpty()) {
            only = only.and(BATTERY.CODE.eq(sought.battery()));
        }
        if (sought.kind() != null) {
            only = only.and(LEDGER_ENTRY.KIND.eq(sought.kind().name()));
        }
        if (sought.personId() != null) {
            only = only.and(LEDGER_ENTRY.PERSON_ID.eq(sought.personId()));
        }
        if (sought.from() != null) {
            only = only.and(LEDGER_ENTRY.HAPPENED_AT.ge(sought.from()));
        }
        if (sought.until() != null) {
            only = only.and(LEDGER_ENTRY.HAPPENED_AT.lt(sought.until()));
        }
        return sought.text().isEmpty() ? only : only.and(LEDGER_ENTRY.PAYLOAD.containsIgnoreCase(sought.text()));
    }

    private List<LedgerEntry> fetch(Condition condition, List<SortField<?>> order, int limit) {
        return sql.select(LEDGER_ENTRY.fields())
                .select(BATTERY.CODE, PERSON.NAME, CORRECTED.SEQ, CORRECTING.SEQ)
                .from(LEDGER_ENTRY)
                .join(BATTERY)
                .on(BATTERY.ID.eq(LEDGER_ENTRY.BATTERY_ID))
                .join(PERSON)
                .on(PERSON.ID.eq(LEDGER_ENTRY.PERSON_ID))
                .leftJoin(CORRECTED)
                .on(CORRECTED.ID.eq(LEDGER_ENTRY.CORRECTS_ID))
                .leftJoin(CORRECTING)
                .on(CORRECTING.CORRECTS_ID.eq(LEDGER_ENTRY.ID))
                .where(condition)
                .orderBy(order)
                .limit(limit)
                .fetch(Ledger::entry);
    }

    private static LedgerEntry entry(Record r) {
        return new LedgerEntry(
                r.get(LEDGER_ENTRY.ID),
                r.get(LEDGER_ENTRY.BATTERY_ID),
                r.get(BATTERY.CODE),
                r.get(LEDGER_ENTRY.SEQ),
                EntryKind.valueOf(r.get(LEDGER_ENTRY.KIND)),
                r.get(LEDGER_ENTRY.HAPPENED_AT),
                r.get(LEDGER_ENTRY.RECORDED_AT),
                r.get(PERSON.NAME),
                r.get(LEDGER_ENTRY.CELL) == null ? null : (int) r.get(LEDGER_ENTRY.CELL),
                r.get(LEDGER_ENTRY.QUANTITY),
                r.get(CORRECTED.SEQ),
                r.get(CORRECTING.SEQ),
                r.get(LEDGER_ENTRY.PAYLOAD));
    }

    /** @return what happened to a battery since a moment, without what was corrected away, in the order of time */
    public List<BatteryEvent> events(long batteryId, Instant since) {
        return told(LEDGER_ENTRY.BATTERY_ID.eq(batteryId).and(LEDGER_ENTRY.HAPPENED_AT.ge(since)), LedgerEvents.TELLING)
                .getOrDefault(batteryId, List.of());
    }

    /** @return every battery that has a line of this kind */
    public Set<Long> batteriesWith(EntryKind kind) {
        return sql.selectDistinct(LEDGER_ENTRY.BATTERY_ID)
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY.KIND.eq(kind.name()))
                .fetchSet(LEDGER_ENTRY.BATTERY_ID);
    }

    /** @return the charges of a battery since a moment, without what was corrected away */
    public EventLog charges(long batteryId, Instant since) {
        return new EventLog(
                told(LEDGER_ENTRY.BATTERY_ID.eq(batteryId).and(LEDGER_ENTRY.HAPPENED_AT.ge(since)), OF_CHARGES)
                        .getOrDefault(batteryId, List.of()));
    }

    /** @return the same of several batteries, by their ids */
    public Map<Long, EventLog> charges(Collection<Long> batteryIds, Instant since) {
        Map<Long, EventLog> logs = new HashMap<>();
        told(LEDGER_ENTRY.BATTERY_ID.in(batteryIds).and(LEDGER_ENTRY.HAPPENED_AT.ge(since)), OF_CHARGES)
                .forEach((battery, events) -> logs.put(battery, new EventLog(events)));
        return logs;
    }

    /** @return the waterings of every battery since a moment, without what was corrected away; by the battery's id */
    public Map<Long, EventLog> waterings(Instant since) {
        Map<Long, EventLog> logs = new HashMap<>();
        told(LEDGER_ENTRY.HAPPENED_AT.ge(since), Set.of(EntryKind.WATER))
                .forEach((battery, events) -> logs.put(battery, new EventLog(events)));
        return logs;
    }

    private static final Set<EntryKind> OF_CHARGES = EnumSet.of(
            EntryKind.DISCHARGE,
            EntryKind.CHARGE_START,
            EntryKind.CHARGE_END,
            EntryKind.EQUALISE_END,
            EntryKind.TEMPERATURE_MAX);

    private Map<Long, List<BatteryEvent>> told(Condition which, Set<EntryKind> kinds) {
        var correction = LEDGER_ENTRY.as("correction");
        Map<Long, List<BatteryEvent>> byBattery = new HashMap<>();
        sql.select(
                        LEDGER_ENTRY.BATTERY_ID,
                        LEDGER_ENTRY.KIND,
                        LEDGER_ENTRY.HAPPENED_AT,
                        LEDGER_ENTRY.CELL,
                        LEDGER_ENTRY.QUANTITY,
                        LEDGER_ENTRY.PAYLOAD)
                .from(LEDGER_ENTRY)
                .where(which.and(
                        LEDGER_ENTRY.KIND.in(kinds.stream().map(EntryKind::name).toList())))
                .andNotExists(selectOne().from(correction).where(correction.CORRECTS_ID.eq(LEDGER_ENTRY.ID)))
                .orderBy(LEDGER_ENTRY.HAPPENED_AT, LEDGER_ENTRY.SEQ)
                .forEach(r -> LedgerEvents.event(
                                EntryKind.valueOf(r.value2()),
                                r.value3(),
                                r.value4() == null ? null : (Integer) r.value4().intValue(),
                                r.value5(),
                                r.value6())
                        .ifPresent(event -> byBattery
                                .computeIfAbsent(r.value1(), b -> new ArrayList<>())
                                .add(event)));
        return byBattery;
    }

    /** @return one line of a battery; empty for none, or one of another battery */
    public Optional<LedgerEntry> line(long batteryId, int seq) {
        return fetch(
                        LEDGER_ENTRY.BATTERY_ID.eq(batteryId).and(LEDGER_ENTRY.SEQ.eq(seq)),
                        List.of(LEDGER_ENTRY.ID.asc()),
                        1)
                .stream()
                .findFirst();
    }

    /**
     * @param cell null for what is true of all cells
     * @return how many lines have put right what a line says of a cell, or of all
     */
    public int corrections(long lineId, @Nullable Integer cell) {
        Condition ofCell = cell == null
                ? LEDGER_ENTRY.CELL.isNull()
                : LEDGER_ENTRY.CELL.eq(cell.shortValue()).or(LEDGER_ENTRY.CELL.isNull());
        return sql.fetchCount(LEDGER_ENTRY, LEDGER_ENTRY.CORRECTS_ID.eq(lineId).and(ofCell));
    }

    /** Follows the battery's chain from its first line; finds a line that was changed, left out or put in. */
    public ChainCheck check(long batteryId) {
        String previous = ChainHash.BEFORE_FIRST;
        int lines = 0;
        for (WrittenLine line : written(batteryId)) {
            lines++;
            if (line.seq() != lines || !line.follows(previous)) {
                return new ChainCheck(lines, lines, null);
            }
            previous = line.hash();
        }
        return new ChainCheck(lines, null, null);
    }

    /** @return a battery's lines as they stand in the table, oldest first */
    public List<WrittenLine> written(long batteryId) {
        return sql.selectFrom(LEDGER_ENTRY)
                .where(LEDGER_ENTRY.BATTERY_ID.eq(batteryId))
                .orderBy(LEDGER_ENTRY.SEQ)
                .fetch(Ledger::written);
    }

    private static WrittenLine written(LedgerEntryRecord line) {
        NewEntry entry = new NewEntry(
                EntryKind.valueOf(line.getKind()),
                line.getHappenedAt(),
                line.getPersonId(),
                line.getCell() == null ? null : (int) line.getCell(),
                line.getQuantity(),
                line.getCorrectsId(),
                line.getPayload());
        return new WrittenLine(
                line.getBatteryId(),
                line.getSeq(),
                line.getRecordedAt(),
                entry,
                line.getPreviousHash(),
                line.getHash());
    }

    /** @return the number of the last line of each battery that has one, by its id */
    public Map<Long, Integer> lines(Collection<Long> batteryIds) {
        // To name thousands of batteries one by one takes longer than to tell of all.
        Condition which = batteryIds.size() > FEW ? noCondition() : BATTERY.ID.in(batteryIds);
        return sql.select(BATTERY.ID, BATTERY.LAST_LINE)
                .from(BATTERY)
                .where(which.and(BATTERY.LAST_LINE.gt(0)))
                .fetchMap(Record2::value1, Record2::value2);
    }

    /** @return the last line of each battery that has one, by its code */
    public List<ChainHead> heads() {
        var later = LEDGER_ENTRY.as("later");
        return sql.select(BATTERY.CODE, LEDGER_ENTRY.BATTERY_ID, LEDGER_ENTRY.SEQ, LEDGER_ENTRY.HASH)
                .from(LEDGER_ENTRY)
                .join(BATTERY)
                .on(BATTERY.ID.eq(LEDGER_ENTRY.BATTERY_ID))
                .where(LEDGER_ENTRY.SEQ.eq(
                        sql.select(DSL.max(later.SEQ)).from(later).where(later.BATTERY_ID.eq(LEDGER_ENTRY.BATTERY_ID))))
                .orderBy(BATTERY.CODE)
                .fetch(r -> new ChainHead(r.value1(), r.value2(), r.value3(), r.value4()));
    }
}
