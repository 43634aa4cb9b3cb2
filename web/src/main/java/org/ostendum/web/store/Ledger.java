package org.ostendum.web.store;

import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.row;
import static org.jooq.impl.DSL.selectOne;
import static org.ostendum.web.store.jooq.Tables.BATTERY;
import static org.ostendum.web.store.jooq.Tables.LEDGER_ENTRY;
import static org.ostendum.web.store.jooq.Tables.PERSON;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.SortField;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.ChargeHistory;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.life.Cycles;
import org.ostendum.core.measure.BatteryEvent;
import org.ostendum.core.measure.EventLog;
import org.ostendum.core.measure.EventType;
import org.ostendum.core.measure.Happenings;
import org.ostendum.web.store.jooq.tables.records.LedgerEntryRecord;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The append-only history of every battery, each battery's lines chained by hash. */
@Repository
public class Ledger {
    private static final Map<String, EventType> EVENTS = Arrays.stream(EventType.values())
            .collect(Collectors.toMap(type -> kind(type).name(), type -> type));

    private static final org.ostendum.web.store.jooq.tables.LedgerEntry CORRECTED = LEDGER_ENTRY.as("corrected");
    private static final org.ostendum.web.store.jooq.tables.LedgerEntry CORRECTING = LEDGER_ENTRY.as("correcting");

    private final DSLContext sql;
    /** When a line that tells of a moment is written down. */
    private final UnaryOperator<Instant> writtenAt;

    @Autowired
    Ledger(DSLContext sql, Clock clock) {
        this(sql, told -> clock.instant());
    }

    private Ledger(DSLContext sql, UnaryOperator<Instant> writtenAt) {
        this.sql = sql;
        this.writtenAt = writtenAt;
    }

    /** The same ledger for a past that was lived before it: each line dated so long after what it tells. */
    public Ledger writtenAfter(Duration delay) {
        return new Ledger(sql, told -> told.plus(delay));
    }

    /**
     * Writes lines at the end of the battery's chain, in their order. Needs a transaction: the battery is locked so that
     * no two lines follow the same one.
     *
     * @return the id of the first line written; the others follow it in order
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<Long> append(long batteryId, List<NewEntry> entries) {
        sql.select(BATTERY.ID)
                .from(BATTERY)
                .where(BATTERY.ID.eq(batteryId))
                .forUpdate()
                .fetchSingle();
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
        Instant recordedAt = micros(writtenAt.apply(exact.happenedAt()));
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
    public List<LedgerEntry> ofSite(@Nullable Mark before, @Nullable EntryKind kind, int limit) {
        Condition page = before == null
                ? noCondition()
                : row(LEDGER_ENTRY.HAPPENED_AT, LEDGER_ENTRY.ID).lt(before.happenedAt(), before.id());
        Condition only = kind == null ? noCondition() : LEDGER_ENTRY.KIND.eq(kind.name());
        return fetch(page.and(only), List.of(LEDGER_ENTRY.HAPPENED_AT.desc(), LEDGER_ENTRY.ID.desc()), limit);
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

    /** What had last happened to the battery up to and including a moment. */
    public Happenings happenings(long batteryId, Instant at) {
        Map<String, Instant> last = new HashMap<>();
        sql.select(LEDGER_ENTRY.KIND, max(LEDGER_ENTRY.HAPPENED_AT))
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY
                        .BATTERY_ID
                        .eq(batteryId)
                        .and(LEDGER_ENTRY.KIND.in("WATER", "CHARGE_START", "CHARGE_END", "EQUALISE_END", "DISCHARGE"))
                        .and(LEDGER_ENTRY.HAPPENED_AT.le(at)))
                .groupBy(LEDGER_ENTRY.KIND)
                .forEach(r -> last.put(r.value1(), r.value2()));
        Instant water = last.get("WATER");
        return new Happenings(
                water,
                last.get("CHARGE_START"),
                last.get("CHARGE_END"),
                last.get("EQUALISE_END"),
                last.get("DISCHARGE"),
                water == null ? 0 : chargesBetween(batteryId, water, at));
    }

    private static final Map<EntryKind, PastCharges.What> OF_CHARGES = Map.of(
            EntryKind.DISCHARGE, PastCharges.What.WORKED,
            EntryKind.CHARGE_START, PastCharges.What.BEGUN,
            EntryKind.CHARGE_END, PastCharges.What.FINISHED);

    private static final Map<EntryKind, ChargeHistory.What> OF_HISTORY = Map.of(
            EntryKind.DISCHARGE, ChargeHistory.What.WORKED,
            EntryKind.CHARGE_START, ChargeHistory.What.BEGUN,
            EntryKind.CHARGE_END, ChargeHistory.What.FINISHED,
            EntryKind.EQUALISE_END, ChargeHistory.What.EQUALISED,
            EntryKind.TEMPERATURE_MAX, ChargeHistory.What.HOTTEST);

    /** @return the charges of a battery since a moment, without what was corrected away */
    public PastCharges charges(long batteryId, Instant since) {
        return PastCharges.of(standing(
                batteryId, since, OF_CHARGES, (at, what, quantity) -> new PastCharges.Line(at, what, quantity)));
    }

    /** @return what the months of a battery's charges are put together from, without what was corrected away */
    public List<ChargeHistory.Line> chargeLines(long batteryId, Instant since) {
        return standing(
                batteryId, since, OF_HISTORY, (at, what, quantity) -> new ChargeHistory.Line(at, what, quantity));
    }

    private interface LineOf<W, L> {
        L line(Instant at, W what, double quantity);
    }

    private <W, L> List<L> standing(long batteryId, Instant since, Map<EntryKind, W> kinds, LineOf<W, L> as) {
        var correction = LEDGER_ENTRY.as("correction");
        return sql.select(LEDGER_ENTRY.HAPPENED_AT, LEDGER_ENTRY.KIND, LEDGER_ENTRY.QUANTITY)
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY
                        .BATTERY_ID
                        .eq(batteryId)
                        .and(LEDGER_ENTRY.KIND.in(
                                kinds.keySet().stream().map(EntryKind::name).toList()))
                        .and(LEDGER_ENTRY.HAPPENED_AT.ge(since)))
                .andNotExists(selectOne().from(correction).where(correction.CORRECTS_ID.eq(LEDGER_ENTRY.ID)))
                .fetch(r -> as.line(
                        r.value1(),
                        Objects.requireNonNull(kinds.get(EntryKind.valueOf(r.value2()))),
                        r.value3() == null ? 0 : r.value3().doubleValue()));
    }

    /** @return the kind of line that tells of an event */
    public static EntryKind kind(EventType type) {
        return type == EventType.CLEAN ? EntryKind.WASH : EntryKind.valueOf(type.name());
    }

    /** @return the waterings of every battery since a moment, without what was corrected away; by the battery's id */
    public Map<Long, EventLog> waterings(Instant since) {
        var correction = LEDGER_ENTRY.as("correction");
        Map<Long, List<BatteryEvent>> byBattery = new HashMap<>();
        sql.select(LEDGER_ENTRY.BATTERY_ID, LEDGER_ENTRY.HAPPENED_AT, LEDGER_ENTRY.QUANTITY)
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY.KIND.eq(EntryKind.WATER.name()).and(LEDGER_ENTRY.HAPPENED_AT.ge(since)))
                .andNotExists(selectOne().from(correction).where(correction.CORRECTS_ID.eq(LEDGER_ENTRY.ID)))
                .forEach(r -> byBattery
                        .computeIfAbsent(r.value1(), b -> new ArrayList<>())
                        .add(BatteryEvent.of(
                                r.value2(),
                                EventType.WATER,
                                r.value3() == null ? 0 : r.value3().doubleValue())));
        Map<Long, EventLog> logs = new HashMap<>();
        byBattery.forEach((battery, events) -> logs.put(battery, new EventLog(events)));
        return logs;
    }

    /** @return what happened to a battery since a moment, without what was corrected away, for the judge */
    public EventLog events(long batteryId, Instant since) {
        var correction = LEDGER_ENTRY.as("correction");
        return new EventLog(
                sql.select(LEDGER_ENTRY.KIND, LEDGER_ENTRY.HAPPENED_AT, LEDGER_ENTRY.QUANTITY, LEDGER_ENTRY.CELL)
                        .from(LEDGER_ENTRY)
                        .where(LEDGER_ENTRY
                                .BATTERY_ID
                                .eq(batteryId)
                                .and(LEDGER_ENTRY.KIND.in(EVENTS.keySet()))
                                .and(LEDGER_ENTRY.HAPPENED_AT.ge(since)))
                        .andNotExists(selectOne().from(correction).where(correction.CORRECTS_ID.eq(LEDGER_ENTRY.ID)))
                        .fetch(r -> new BatteryEvent(
                                r.value2(),
                                Objects.requireNonNull(EVENTS.get(r.value1())),
                                r.value3() == null ? 0 : r.value3().doubleValue(),
                                r.value4() == null ? null : (Integer) r.value4().intValue())));
    }

    private int chargesBetween(long batteryId, Instant after, Instant upTo) {
        return sql.fetchCount(
                LEDGER_ENTRY,
                LEDGER_ENTRY
                        .BATTERY_ID
                        .eq(batteryId)
                        .and(LEDGER_ENTRY.KIND.in("CHARGE_END", "EQUALISE_END"))
                        .and(LEDGER_ENTRY.HAPPENED_AT.gt(after))
                        .and(LEDGER_ENTRY.HAPPENED_AT.le(upTo)));
    }

    /** @return when a thing of a kind last happened */
    public Optional<Instant> last(long batteryId, EntryKind kind) {
        return Optional.ofNullable(sql.select(max(LEDGER_ENTRY.HAPPENED_AT))
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY.BATTERY_ID.eq(batteryId).and(LEDGER_ENTRY.KIND.eq(kind.name())))
                .fetchSingle()
                .value1());
    }

    public Cycles cycles(long batteryId, ZoneId zone) {
        var row = sql.select(DSL.count(), DSL.min(LEDGER_ENTRY.HAPPENED_AT))
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY.BATTERY_ID.eq(batteryId).and(LEDGER_ENTRY.KIND.eq(EntryKind.CHARGE_END.name())))
                .fetchSingle();
        @Nullable Instant first = row.value2();
        return new Cycles(row.value1(), first == null ? null : LocalDate.ofInstant(first, zone));
    }

    /** Follows the battery's chain from its first line; finds a line that was changed, left out or put in. */
    public ChainCheck check(long batteryId) {
        String previous = ChainHash.BEFORE_FIRST;
        int lines = 0;
        for (LedgerEntryRecord line : sql.selectFrom(LEDGER_ENTRY)
                .where(LEDGER_ENTRY.BATTERY_ID.eq(batteryId))
                .orderBy(LEDGER_ENTRY.SEQ)
                .fetch()) {
            lines++;
            if (line.getSeq() != lines || !line.getHash().equals(hashNow(line, previous))) {
                return new ChainCheck(lines, lines, null);
            }
            previous = line.getHash();
        }
        return new ChainCheck(lines, null, null);
    }

    private static String hashNow(LedgerEntryRecord line, String previous) {
        BigDecimal quantity = line.getQuantity();
        NewEntry entry = new NewEntry(
                EntryKind.valueOf(line.getKind()),
                line.getHappenedAt(),
                line.getPersonId(),
                line.getCell() == null ? null : (int) line.getCell(),
                quantity,
                line.getCorrectsId(),
                line.getPayload());
        return ChainHash.of(previous, line.getBatteryId(), line.getSeq(), line.getRecordedAt(), entry);
    }
}
