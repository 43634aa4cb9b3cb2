package org.ostendum.app.state;

import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.max;
import static org.ostendum.app.db.jooq.Tables.CELL_READING;
import static org.ostendum.app.db.jooq.Tables.LEDGER_ENTRY;
import static org.ostendum.app.db.jooq.Tables.ROUND;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.ManyRows;
import org.ostendum.app.db.jooq.tables.records.CellReadingRecord;
import org.ostendum.app.db.jooq.tables.records.RoundRecord;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.springframework.dao.DataRetrievalFailureException;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Rounds on record. */
@Repository
public class Rounds {
    /** Batteries with a round open at one time, twice over. */
    private static final int HISTORIES_KNOWN = 200;

    private final DSLContext sql;
    private final Cache<HistoryKey, KnownHistory> histories =
            Caffeine.newBuilder().maximumSize(HISTORIES_KNOWN).build();

    private record HistoryKey(long batteryId, int limit) {}

    /** What was on record when the battery's ledger had so many lines. */
    private record KnownHistory(int line, List<ClosedRound> rounds) {}

    public Rounds(DSLContext sql) {
        this.sql = sql;
    }

    /** @return how many are on record, those being taken with them */
    public int count() {
        return sql.fetchCount(ROUND);
    }

    /** Puts an open round on record. */
    public void close(long roundId, long ledgerEntryId, Coverage coverage, PastRound past) {
        long batteryId = sql.select(ROUND.BATTERY_ID)
                .from(ROUND)
                .where(ROUND.ID.eq(roundId))
                .fetchSingle()
                .value1();
        sql.update(ROUND)
                .setNull(ROUND.OPEN_BATTERY_ID)
                .set(ROUND.TAKEN_AT, past.round().takenAt())
                .set(ROUND.COVERAGE, coverage.name())
                .set(ROUND.TEMPERATURE_TENTHS, tenths(past.round().temperature()))
                .set(ROUND.DOUBTS, doubts(past.doubts()))
                .set(ROUND.SET_ASIDE, cells(past.setAside()))
                .set(ROUND.LEDGER_ENTRY_ID, ledgerEntryId)
                .where(ROUND.ID.eq(roundId))
                .execute();
        insertReadings(batteryId, roundId, 0, past.round().readings());
    }

    /** Puts a round on record that was not taken through the drawing. */
    public void record(long batteryId, long personId, long ledgerEntryId, Coverage coverage, PastRound past) {
        Round round = past.round();
        long roundId = sql.insertInto(ROUND)
                .set(ROUND.BATTERY_ID, batteryId)
                .set(ROUND.OPENED_AT, round.takenAt())
                .set(ROUND.OPENED_BY, personId)
                .set(ROUND.STATE, round.state().name())
                .set(ROUND.COVERAGE, coverage.name())
                .set(ROUND.TAKEN_AT, round.takenAt())
                .set(ROUND.TEMPERATURE_TENTHS, tenths(round.temperature()))
                .set(ROUND.DOUBTS, doubts(past.doubts()))
                .set(ROUND.SET_ASIDE, cells(past.setAside()))
                .set(ROUND.LEDGER_ENTRY_ID, ledgerEntryId)
                .returningResult(ROUND.ID)
                .fetchSingle()
                .value1();
        insertReadings(batteryId, roundId, 0, round.readings());
    }

    /**
     * A round to be put on record with others.
     *
     * @param ledgerEntryId the line that tells it
     */
    public record Taken(long ledgerEntryId, Coverage coverage, PastRound past) {}

    /** Puts many rounds of a battery on record at once. */
    public void recordAll(long batteryId, long personId, List<Taken> taken) {
        List<RoundRecord> rounds = new ArrayList<>();
        for (Taken one : taken) {
            Round round = one.past().round();
            RoundRecord row = sql.newRecord(ROUND);
            row.setBatteryId(batteryId);
            row.setOpenedAt(round.takenAt());
            row.setOpenedBy(personId);
            row.setState(round.state().name());
            row.setCoverage(one.coverage().name());
            row.setTakenAt(round.takenAt());
            row.setTemperatureTenths(tenths(round.temperature()));
            row.setDoubts(doubts(one.past().doubts()));
            row.setSetAside(cells(one.past().setAside()));
            row.setLedgerEntryId(one.ledgerEntryId());
            rounds.add(row);
        }
        ManyRows.insert(sql, ROUND, rounds);
        Map<Long, Long> ids = sql.select(ROUND.LEDGER_ENTRY_ID, ROUND.ID)
                .from(ROUND)
                .where(ROUND.BATTERY_ID.eq(batteryId).and(ROUND.LEDGER_ENTRY_ID.isNotNull()))
                .fetchMap(ROUND.LEDGER_ENTRY_ID, ROUND.ID);
        List<CellReadingRecord> readings = new ArrayList<>();
        for (Taken one : taken) {
            Long id = Objects.requireNonNull(ids.get(one.ledgerEntryId()));
            readings.addAll(rows(batteryId, id, 0, one.past().round().readings()));
        }
        ManyRows.insert(sql, CELL_READING, readings);
    }

    /** @return when each round of a battery on record was taken */
    public Set<Instant> takenAt(long batteryId) {
        return sql.select(ROUND.TAKEN_AT)
                .from(ROUND)
                .where(ROUND.BATTERY_ID.eq(batteryId).and(ROUND.TAKEN_AT.isNotNull()))
                .fetchSet(ROUND.TAKEN_AT);
    }

    /** @return id of the round that a ledger line tells */
    public Optional<Long> byEntry(long ledgerEntryId) {
        return sql.select(ROUND.ID)
                .from(ROUND)
                .where(ROUND.LEDGER_ENTRY_ID.eq(ledgerEntryId))
                .fetchOptional(ROUND.ID);
    }

    /** A whole round does not hold any more. */
    public void voidRound(long roundId, long byLedgerEntry) {
        sql.update(ROUND)
                .set(ROUND.VOIDED_BY, byLedgerEntry)
                .where(ROUND.ID.eq(roundId))
                .execute();
    }

    /** What is true of all cells of a round is put right; what it was stays in the ledger. */
    public void revise(long roundId, RoundState state, @Nullable Celsius temperature) {
        sql.update(ROUND)
                .set(ROUND.STATE, state.name())
                .set(ROUND.TEMPERATURE_TENTHS, tenths(temperature))
                .where(ROUND.ID.eq(roundId))
                .execute();
    }

    /** Keeps with each round what is held of it now, where that has changed. */
    public void keepDoubts(long batteryId, List<PastRound> held) {
        Map<Instant, String> before = new HashMap<>();
        sql.select(ROUND.TAKEN_AT, ROUND.DOUBTS, ROUND.SET_ASIDE)
                .from(ROUND)
                .where(ROUND.BATTERY_ID.eq(batteryId).and(ROUND.TAKEN_AT.isNotNull()))
                .forEach(r -> before.put(r.value1(), r.value2() + "/" + r.value3()));
        for (PastRound past : held) {
            Instant at = past.round().takenAt();
            String doubts = doubts(past.doubts());
            String aside = cells(past.setAside());
            if (!(doubts + "/" + aside).equals(before.get(at))) {
                sql.update(ROUND)
                        .set(ROUND.DOUBTS, doubts)
                        .set(ROUND.SET_ASIDE, aside)
                        .where(ROUND.BATTERY_ID.eq(batteryId).and(ROUND.TAKEN_AT.eq(at)))
                        .execute();
            }
        }
    }

    /** Writes a later revision of one cell's reading; the earlier ones stay. */
    public void revise(long batteryId, long roundId, CellReading reading) {
        int revision = 1
                + sql.select(coalesce(max(CELL_READING.REVISION), (short) 0))
                        .from(CELL_READING)
                        .where(CELL_READING
                                .BATTERY_ID
                                .eq(batteryId)
                                .and(CELL_READING.ROUND_ID.eq(roundId))
                                .and(CELL_READING.CELL.eq((short) reading.cell())))
                        .fetchSingle()
                        .value1();
        insertReadings(batteryId, roundId, revision, List.of(reading));
    }

    /** Writes a later revision of many cells of one round; the earlier ones stay. */
    void reviseAll(long batteryId, long roundId, List<CellReading> readings) {
        Map<Short, Short> newest = sql.select(CELL_READING.CELL, max(CELL_READING.REVISION))
                .from(CELL_READING)
                .where(CELL_READING.BATTERY_ID.eq(batteryId).and(CELL_READING.ROUND_ID.eq(roundId)))
                .groupBy(CELL_READING.CELL)
                .fetchMap(CELL_READING.CELL, max(CELL_READING.REVISION));
        List<CellReadingRecord> rows = new ArrayList<>();
        for (CellReading reading : readings) {
            int revision = 1 + newest.getOrDefault((short) reading.cell(), (short) 0);
            rows.addAll(rows(batteryId, roundId, revision, List.of(reading)));
        }
        ManyRows.insert(sql, CELL_READING, rows);
    }

    private void insertReadings(long batteryId, long roundId, int revision, List<CellReading> readings) {
        ManyRows.insert(sql, CELL_READING, rows(batteryId, roundId, revision, readings));
    }

    private List<CellReadingRecord> rows(long batteryId, long roundId, int revision, List<CellReading> readings) {
        List<CellReadingRecord> rows = new ArrayList<>();
        for (CellReading reading : readings) {
            CellReadingRecord row = sql.newRecord(CELL_READING);
            row.setBatteryId(batteryId);
            row.setRoundId(roundId);
            row.setCell((short) reading.cell());
            row.setRevision((short) revision);
            row.setSgPoints(
                    reading.gravity() == null ? null : (short) reading.gravity().points());
            row.setTooLow(reading.tooLow());
            row.setConfirmed(reading.confirmed());
            row.setTemperatureTenths(tenths(reading.temperature()));
            row.setMillivolts(reading.volts() == null ? null : reading.volts().millivolts());
            row.setOnCharge(reading.onCharge());
            row.setLevelSeen(reading.level() == null ? null : reading.level().name());
            row.setColour(reading.colour() == null ? null : reading.colour().name());
            rows.add(row);
        }
        return rows;
    }

    /**
     * The past of a battery is asked for at every keystroke of a round, and changes only with a line in its ledger.
     *
     * @param limit at most so many, the newest
     * @return the battery's rounds on record, oldest first
     */
    public List<ClosedRound> history(long batteryId, int limit) {
        if (TransactionSynchronizationManager.isActualTransactionActive()) {
            // What this transaction has written may yet be taken back.
            return historyNow(batteryId, limit);
        }
        int line = sql.select(coalesce(max(LEDGER_ENTRY.SEQ), 0))
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY.BATTERY_ID.eq(batteryId))
                .fetchSingle()
                .value1();
        HistoryKey key = new HistoryKey(batteryId, limit);
        KnownHistory known = histories.getIfPresent(key);
        if (known == null || known.line() != line) {
            known = new KnownHistory(line, historyNow(batteryId, limit));
            histories.put(key, known);
        }
        return known.rounds();
    }

    private List<ClosedRound> historyNow(long batteryId, int limit) {
        List<? extends Record> rounds = new ArrayList<>(sql.selectFrom(ROUND)
                .where(ROUND.BATTERY_ID
                        .eq(batteryId)
                        .and(ROUND.TAKEN_AT.isNotNull())
                        .and(ROUND.VOIDED_BY.isNull()))
                .orderBy(ROUND.TAKEN_AT.desc())
                .limit(limit)
                .fetch());
        Collections.reverse(rounds);
        return withReadings(batteryId, rounds);
    }

    /** @return all of a battery's rounds on record that were taken since then, oldest first */
    List<ClosedRound> since(long batteryId, Instant since) {
        return withReadings(
                batteryId,
                sql.selectFrom(ROUND)
                        .where(ROUND.BATTERY_ID
                                .eq(batteryId)
                                .and(ROUND.TAKEN_AT.greaterOrEqual(since))
                                .and(ROUND.VOIDED_BY.isNull()))
                        .orderBy(ROUND.TAKEN_AT)
                        .fetch());
    }

    private List<ClosedRound> withReadings(long batteryId, List<? extends Record> rounds) {
        Map<Long, Map<Integer, CellReading>> readings = new HashMap<>();
        Map<Long, Set<Integer>> corrected = new HashMap<>();
        readInto(batteryId, rounds.stream().map(r -> r.get(ROUND.ID)).toList(), readings, corrected);
        return rounds.stream()
                .map(r -> closed(
                        r,
                        readings.getOrDefault(r.get(ROUND.ID), Map.of()),
                        corrected.getOrDefault(r.get(ROUND.ID), Set.of())))
                .toList();
    }

    /**
     * Reads the cells of many rounds. The rows are walked as a bare result set: a record of its own for each of a thousand
     * cells took a third of a page's time.
     */
    private void readInto(
            long batteryId,
            List<Long> roundIds,
            Map<Long, Map<Integer, CellReading>> readings,
            Map<Long, Set<Integer>> corrected) {
        try (ResultSet rows = sql.select(
                        CELL_READING.ROUND_ID,
                        CELL_READING.CELL,
                        CELL_READING.REVISION,
                        CELL_READING.SG_POINTS,
                        CELL_READING.TOO_LOW,
                        CELL_READING.CONFIRMED,
                        CELL_READING.TEMPERATURE_TENTHS,
                        CELL_READING.MILLIVOLTS,
                        CELL_READING.ON_CHARGE,
                        CELL_READING.LEVEL_SEEN,
                        CELL_READING.COLOUR)
                .from(CELL_READING)
                .where(CELL_READING.BATTERY_ID.eq(batteryId).and(CELL_READING.ROUND_ID.in(roundIds)))
                .orderBy(CELL_READING.ROUND_ID, CELL_READING.CELL, CELL_READING.REVISION)
                .fetchResultSet()) {
            while (rows.next()) {
                long roundId = rows.getLong(1);
                int cell = rows.getInt(2);
                readings.computeIfAbsent(roundId, id -> new LinkedHashMap<>()).put(cell, reading(rows, cell));
                if (rows.getInt(3) > 0) {
                    corrected.computeIfAbsent(roundId, id -> new HashSet<>()).add(cell);
                }
            }
        } catch (SQLException e) {
            throw new DataRetrievalFailureException("Readings of battery " + batteryId, e);
        }
    }

    private static CellReading reading(ResultSet row, int cell) throws SQLException {
        int points = row.getInt(4);
        boolean unread = row.wasNull();
        short temperature = row.getShort(7);
        boolean cold = row.wasNull();
        int millivolts = row.getInt(8);
        boolean unmeasured = row.wasNull();
        String level = row.getString(10);
        String colour = row.getString(11);
        return new CellReading(
                cell,
                unread ? null : SpecificGravity.ofPoints(points),
                row.getBoolean(5),
                row.getBoolean(6),
                cold ? null : new Celsius(temperature),
                unmeasured ? null : new Volts(millivolts),
                row.getBoolean(9),
                level == null ? null : Level.valueOf(level),
                colour == null ? null : Colour.valueOf(colour));
    }

    private static ClosedRound closed(Record r, Map<Integer, CellReading> readings, Set<Integer> corrected) {
        Round round = new Round(
                r.get(ROUND.TAKEN_AT),
                RoundState.valueOf(r.get(ROUND.STATE)),
                celsius(r.get(ROUND.TEMPERATURE_TENTHS)),
                List.copyOf(readings.values()));
        return new ClosedRound(
                r.get(ROUND.ID),
                r.get(ROUND.LEDGER_ENTRY_ID),
                Coverage.valueOf(r.get(ROUND.COVERAGE)),
                new PastRound(round, doubtsFrom(r.get(ROUND.DOUBTS)), cellsFrom(r.get(ROUND.SET_ASIDE))),
                corrected);
    }

    private static @Nullable Short tenths(@Nullable Celsius celsius) {
        return celsius == null ? null : (short) celsius.tenths();
    }

    private static @Nullable Celsius celsius(@Nullable Short tenths) {
        return tenths == null ? null : new Celsius(tenths);
    }

    private static @Nullable String doubts(List<Doubt> doubts) {
        return doubts.isEmpty() ? null : doubts.stream().map(Doubt::name).collect(Collectors.joining(","));
    }

    private static @Nullable String cells(Set<Integer> cells) {
        return cells.isEmpty()
                ? null
                : cells.stream().sorted().map(String::valueOf).collect(Collectors.joining(","));
    }

    private static Set<Integer> cellsFrom(@Nullable String cells) {
        return cells == null
                ? Set.of()
                : Arrays.stream(cells.split(",", -1)).map(Integer::valueOf).collect(Collectors.toSet());
    }

    private static List<Doubt> doubtsFrom(@Nullable String doubts) {
        return doubts == null
                ? List.of()
                : Arrays.stream(doubts.split(",", -1)).map(Doubt::valueOf).toList();
    }
}
