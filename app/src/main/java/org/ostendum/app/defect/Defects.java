package org.ostendum.app.defect;

import static org.jooq.impl.DSL.count;
import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.DEFECT;
import static org.ostendum.app.db.jooq.Tables.MACHINE;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.state.fact.OpenDefect;
import org.springframework.stereotype.Repository;

/** What was found wrong with batteries and machines, until somebody has put it right. */
@Repository
public class Defects {
    private final DSLContext sql;
    private final Clock clock;

    Defects(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * @param battery its code; null when it is the machine's
     * @param machine its code; null when it is the battery's
     */
    public record Defect(
            long id,
            @Nullable Long batteryId,
            @Nullable String battery,
            @Nullable String machine,
            DefectKind kind,
            String remark,
            Instant foundAt,
            String foundBy) {}

    /** A defect that came back: the same kind on the same machine. */
    public record Recurring(String machine, DefectKind kind, int times) {}

    public List<Defect> open() {
        return fetch(DEFECT.DONE_AT.isNull());
    }

    public List<Defect> openOf(long batteryId, @Nullable Long machineId) {
        Condition ofBattery = DEFECT.BATTERY_ID.eq(batteryId);
        return fetch(DEFECT.DONE_AT
                .isNull()
                .and(machineId == null ? ofBattery : ofBattery.or(DEFECT.MACHINE_ID.eq(machineId))));
    }

    /** @return what was found wrong with a battery itself and what was put right, as events */
    public List<BatteryEvent> events(long batteryId) {
        List<BatteryEvent> events = new ArrayList<>();
        sql.selectFrom(DEFECT).where(DEFECT.BATTERY_ID.eq(batteryId)).forEach(r -> {
            String id = String.valueOf(r.getId());
            events.add(new BatteryEvent.DefectFound(r.getFoundAt(), id, DefectKind.valueOf(r.getKind())));
            if (r.getDoneAt() != null) {
                events.add(new BatteryEvent.DefectRighted(r.getDoneAt(), id));
            }
        });
        return events;
    }

    /** @return what is wrong with machines now, by the machine's id */
    public Map<Long, List<OpenDefect>> openByMachine() {
        return sql.selectFrom(DEFECT)
                .where(DEFECT.MACHINE_ID.isNotNull().and(DEFECT.DONE_AT.isNull()))
                .fetchGroups(
                        DEFECT.MACHINE_ID,
                        r -> new OpenDefect(
                                String.valueOf(r.getId()), DefectKind.valueOf(r.getKind()), r.getFoundAt()));
    }

    public Optional<Defect> openById(long id) {
        return fetch(DEFECT.DONE_AT.isNull().and(DEFECT.ID.eq(id))).stream().findFirst();
    }

    private List<Defect> fetch(Condition condition) {
        return sql.select(DEFECT.fields())
                .select(BATTERY.CODE, MACHINE.CODE, PERSON.NAME)
                .from(DEFECT)
                .join(PERSON)
                .on(PERSON.ID.eq(DEFECT.FOUND_BY))
                .leftJoin(BATTERY)
                .on(BATTERY.ID.eq(DEFECT.BATTERY_ID))
                .leftJoin(MACHINE)
                .on(MACHINE.ID.eq(DEFECT.MACHINE_ID))
                .where(condition)
                .orderBy(DEFECT.ID)
                .fetch(r -> new Defect(
                        r.get(DEFECT.ID),
                        r.get(DEFECT.BATTERY_ID),
                        r.get(BATTERY.CODE),
                        r.get(MACHINE.CODE),
                        DefectKind.valueOf(r.get(DEFECT.KIND)),
                        r.get(DEFECT.REMARK),
                        r.get(DEFECT.FOUND_AT),
                        r.get(PERSON.NAME)));
    }

    /** @return kinds found more than once on the same machine, the most frequent first */
    public List<Recurring> recurring() {
        return sql.select(MACHINE.CODE, DEFECT.KIND, count())
                .from(DEFECT)
                .join(MACHINE)
                .on(MACHINE.ID.eq(DEFECT.MACHINE_ID))
                .groupBy(MACHINE.CODE, DEFECT.KIND)
                .having(count().gt(1))
                .orderBy(count().desc(), MACHINE.CODE)
                .fetch(r -> new Recurring(r.value1(), DefectKind.valueOf(r.value2()), r.value3()));
    }

    /**
     * What was found wrong, and whose it is.
     *
     * @param ofBattery whether it goes with the battery; else it stays with the machine that it is in
     */
    public record Found(BatteryEvent.DefectFound event, boolean ofBattery) {
        public long id() {
            return Long.parseLong(event.id());
        }
    }

    /** Opens a defect found at a battery or at the machine it is in; empty where it stood open already. */
    public Optional<Found> open(Battery battery, DefectKind kind, String remark, @Nullable Long jobId, long personId) {
        boolean ofBattery = kind.isOfBattery() || battery.machineId() == null;
        return open(
                        ofBattery ? (Long) battery.id() : null,
                        ofBattery ? null : battery.machineId(),
                        kind,
                        remark,
                        jobId,
                        personId)
                .map(event -> new Found(event, ofBattery));
    }

    /**
     * Opens a defect, unless the same kind is still open on the same thing.
     *
     * @param batteryId of the battery, or null with a machine's id
     * @return what happened; empty where it stood open already
     */
    public Optional<BatteryEvent.DefectFound> open(
            @Nullable Long batteryId,
            @Nullable Long machineId,
            DefectKind kind,
            String remark,
            @Nullable Long jobId,
            long personId) {
        Condition same = DEFECT.KIND
                .eq(kind.name())
                .and(DEFECT.DONE_AT.isNull())
                .and(batteryId == null ? DEFECT.MACHINE_ID.eq(machineId) : DEFECT.BATTERY_ID.eq(batteryId));
        if (sql.fetchExists(DEFECT, same)) {
            return Optional.empty();
        }
        Instant at = clock.instant();
        Long id = sql.insertInto(DEFECT)
                .set(DEFECT.BATTERY_ID, batteryId)
                .set(DEFECT.MACHINE_ID, machineId)
                .set(DEFECT.KIND, kind.name())
                .set(DEFECT.REMARK, remark)
                .set(DEFECT.FOUND_AT, at)
                .set(DEFECT.FOUND_BY, personId)
                .set(DEFECT.JOB_ID, jobId)
                .returningResult(DEFECT.ID)
                .fetchSingle()
                .value1();
        return Optional.of(new BatteryEvent.DefectFound(at, String.valueOf(id), kind));
    }

    /** @return what happened; empty where it was right already */
    public Optional<BatteryEvent.DefectRighted> putRight(long id, String remark, long personId) {
        Instant at = clock.instant();
        boolean wasOpen = sql.update(DEFECT)
                        .set(DEFECT.DONE_AT, at)
                        .set(DEFECT.DONE_BY, personId)
                        .set(DEFECT.DONE_REMARK, remark)
                        .where(DEFECT.ID.eq(id).and(DEFECT.DONE_AT.isNull()))
                        .execute()
                == 1;
        return wasOpen ? Optional.of(new BatteryEvent.DefectRighted(at, String.valueOf(id))) : Optional.empty();
    }
}
