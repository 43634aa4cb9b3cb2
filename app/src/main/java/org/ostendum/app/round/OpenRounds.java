package org.ostendum.app.round;

import static org.ostendum.app.db.jooq.Tables.PERSON;
import static org.ostendum.app.db.jooq.Tables.ROUND;
import static org.ostendum.app.db.jooq.Tables.ROUND_VALUE;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.SelectConditionStep;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.measure.SheetEntry;
import org.ostendum.core.measure.SheetField;
import org.springframework.stereotype.Repository;

/** Rounds being taken, value by value: at most one of each battery. */
@Repository
public class OpenRounds {
    private final DSLContext sql;
    private final Clock clock;

    public OpenRounds(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    public Optional<OpenRound> of(long batteryId) {
        return open(ROUND.OPEN_BATTERY_ID.eq(batteryId));
    }

    public Optional<OpenRound> byId(long roundId) {
        return open(ROUND.ID.eq(roundId).and(ROUND.OPEN_BATTERY_ID.isNotNull()));
    }

    /** @return the battery of a round being taken */
    public Optional<Long> batteryOf(long roundId) {
        return sql.select(ROUND.OPEN_BATTERY_ID)
                .from(ROUND)
                .where(ROUND.ID.eq(roundId).and(ROUND.OPEN_BATTERY_ID.isNotNull()))
                .fetchOptional(ROUND.OPEN_BATTERY_ID);
    }

    /** @return who opened the rounds being taken, by the battery's id */
    public Map<Long, String> in(Set<Long> batteryIds) {
        return sql.select(ROUND.OPEN_BATTERY_ID, PERSON.NAME)
                .from(ROUND)
                .join(PERSON)
                .on(PERSON.ID.eq(ROUND.OPENED_BY))
                .where(ROUND.OPEN_BATTERY_ID.in(batteryIds))
                .fetchMap(ROUND.OPEN_BATTERY_ID, PERSON.NAME);
    }

    private Optional<OpenRound> open(Condition condition) {
        return sql.select(ROUND.fields())
                .select(PERSON.NAME)
                .from(ROUND)
                .join(PERSON)
                .on(PERSON.ID.eq(ROUND.OPENED_BY))
                .where(condition)
                .fetchOptional(r -> new OpenRound(
                        r.get(ROUND.ID),
                        r.get(ROUND.BATTERY_ID),
                        r.get(ROUND.OPENED_AT),
                        r.get(ROUND.OPENED_BY),
                        r.get(PERSON.NAME),
                        RoundState.valueOf(r.get(ROUND.STATE)),
                        Coverage.valueOf(r.get(ROUND.COVERAGE)),
                        r.get(ROUND.PILOT_CELL) == null ? null : (int) r.get(ROUND.PILOT_CELL),
                        values(r.get(ROUND.ID))));
    }

    private List<KeptValue> values(long roundId) {
        return selectValues(ROUND_VALUE.ROUND_ID.eq(roundId))
                .orderBy(ROUND_VALUE.ID)
                .fetch(OpenRounds::value);
    }

    /** @return what was last entered in one field of a cell */
    public Optional<KeptValue> latest(long roundId, int cell, SheetField field) {
        return selectValues(ROUND_VALUE
                        .ROUND_ID
                        .eq(roundId)
                        .and(ROUND_VALUE.CELL.eq((short) cell))
                        .and(ROUND_VALUE.FIELD.eq(field.name())))
                .orderBy(ROUND_VALUE.ID.desc())
                .limit(1)
                .fetchOptional(OpenRounds::value);
    }

    private SelectConditionStep<Record> selectValues(Condition condition) {
        return sql.select(ROUND_VALUE.fields())
                .select(PERSON.NAME)
                .from(ROUND_VALUE)
                .join(PERSON)
                .on(PERSON.ID.eq(ROUND_VALUE.PERSON_ID))
                .where(condition);
    }

    private static KeptValue value(Record r) {
        return new KeptValue(
                r.get(ROUND_VALUE.ID),
                r.get(ROUND_VALUE.CELL),
                SheetField.valueOf(r.get(ROUND_VALUE.FIELD)),
                SheetValues.read(SheetField.valueOf(r.get(ROUND_VALUE.FIELD)), r.get(ROUND_VALUE.VALUE)),
                r.get(ROUND_VALUE.RECORDED_AT),
                r.get(ROUND_VALUE.PERSON_ID),
                r.get(PERSON.NAME));
    }

    /** Opens a round, or leaves the one already open as it is. */
    public void begin(long batteryId, long personId, RoundState state, @Nullable Integer pilotCell) {
        sql.insertInto(ROUND)
                .set(ROUND.BATTERY_ID, batteryId)
                .set(ROUND.OPEN_BATTERY_ID, batteryId)
                .set(ROUND.OPENED_AT, clock.instant())
                .set(ROUND.OPENED_BY, personId)
                .set(ROUND.STATE, state.name())
                .set(ROUND.COVERAGE, (pilotCell == null ? Coverage.WHOLE : Coverage.PILOT).name())
                .set(ROUND.PILOT_CELL, pilotCell == null ? null : pilotCell.shortValue())
                .onDuplicateKeyIgnore()
                .execute();
    }

    public void changeState(long roundId, RoundState state) {
        sql.update(ROUND)
                .set(ROUND.STATE, state.name())
                .where(ROUND.ID.eq(roundId).and(ROUND.OPEN_BATTERY_ID.isNotNull()))
                .execute();
    }

    /** It is neither open nor on record any more; what was typed into it stays. */
    public void discard(long roundId) {
        sql.update(ROUND)
                .setNull(ROUND.OPEN_BATTERY_ID)
                .where(ROUND.ID.eq(roundId))
                .execute();
    }

    /** Locks the round against a second writer until the transaction ends. */
    public boolean lock(long roundId) {
        return sql.select(ROUND.ID)
                .from(ROUND)
                .where(ROUND.ID.eq(roundId).and(ROUND.OPEN_BATTERY_ID.isNotNull()))
                .forUpdate()
                .fetchOptional()
                .isPresent();
    }

    public boolean isKept(String clientKey) {
        return sql.fetchExists(ROUND_VALUE, ROUND_VALUE.CLIENT_KEY.eq(clientKey));
    }

    public void keep(long roundId, String clientKey, SheetEntry entry, long personId) {
        sql.insertInto(ROUND_VALUE)
                .set(ROUND_VALUE.ROUND_ID, roundId)
                .set(ROUND_VALUE.CLIENT_KEY, clientKey)
                .set(ROUND_VALUE.CELL, (short) entry.cell())
                .set(ROUND_VALUE.FIELD, entry.field().name())
                .set(ROUND_VALUE.VALUE, SheetValues.text(entry.value()))
                .set(ROUND_VALUE.RECORDED_AT, clock.instant())
                .set(ROUND_VALUE.PERSON_ID, personId)
                .execute();
    }
}
