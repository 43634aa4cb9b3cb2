package org.ostendum.app.job;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.CHARGER;
import static org.ostendum.app.db.jooq.Tables.JOB;
import static org.ostendum.app.db.jooq.Tables.JOB_EVENT;
import static org.ostendum.app.db.jooq.Tables.MACHINE;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.SelectConditionStep;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.procedure.Run.Status;
import org.ostendum.core.procedure.RunEvent;
import org.springframework.stereotype.Repository;

/** Jobs and what happened in them, event by event. At most one of a procedure is open on a battery, or on a room. */
@Repository
public class Jobs {
    private final DSLContext sql;
    private final Clock clock;

    Jobs(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * A job to be begun.
     *
     * @param text of the procedure, kept with the job
     */
    public record NewJob(
            String procedureId,
            int version,
            String text,
            long roomId,
            @Nullable Long batteryId,
            @Nullable Long machineId,
            long personId,
            @Nullable Long chargerId,
            @Nullable ChargeKind chargeKind) {
        /** A job that charges nothing. */
        public NewJob(
                String procedureId,
                int version,
                String text,
                long roomId,
                @Nullable Long batteryId,
                @Nullable Long machineId,
                long personId) {
            this(procedureId, version, text, roomId, batteryId, machineId, personId, null, null);
        }

        String openKey() {
            return procedureId + (batteryId == null ? ":room " + roomId : ":" + batteryId);
        }
    }

    /** @return the id of the job begun; empty when one like it is already open */
    public Optional<Long> begin(NewJob job) {
        ProcedureFile file = ProcedureFile.ofJson(job.text());
        int made = sql.insertInto(JOB)
                .set(JOB.PROCEDURE_ID, job.procedureId())
                .set(JOB.VERSION, job.version())
                .set(JOB.TEXT, job.text())
                .set(JOB.ROOM_ID, job.roomId())
                .set(JOB.BATTERY_ID, job.batteryId())
                .set(JOB.MACHINE_ID, job.machineId())
                .set(JOB.CHARGER_ID, job.chargerId())
                .set(
                        JOB.CHARGE_KIND,
                        job.chargeKind() == null ? null : job.chargeKind().name())
                .set(JOB.BEGUN_AT, clock.instant())
                .set(JOB.BEGUN_BY, job.personId())
                .set(JOB.STATUS, Status.RUNNING.name())
                .set(JOB.HOLDS_AS, Boolean.TRUE.equals(file.holds()) ? file.title() : null)
                .set(JOB.OPEN_KEY, job.openKey())
                .onDuplicateKeyIgnore()
                .execute();
        return made == 0 ? Optional.empty() : openLike(job);
    }

    /** @return the open job of the same procedure on the same thing */
    public Optional<Long> openLike(NewJob job) {
        return sql.select(JOB.ID)
                .from(JOB)
                .where(JOB.OPEN_KEY.eq(job.openKey()))
                .fetchOptional(JOB.ID);
    }

    /** Another charger or kind of charge, for a job that stands open and in which nobody has done anything yet. */
    void chooseAgain(long id, NewJob job) {
        if (job.chargerId() == null || job.chargeKind() == null) {
            return;
        }
        sql.update(JOB)
                .set(JOB.CHARGER_ID, job.chargerId())
                .set(JOB.CHARGE_KIND, job.chargeKind().name())
                .where(JOB.ID.eq(id))
                .andNotExists(sql.selectOne().from(JOB_EVENT).where(JOB_EVENT.JOB_ID.eq(id)))
                .execute();
    }

    public Optional<Job> byId(long id) {
        return select(JOB.ID.eq(id)).fetchOptional(Jobs::job);
    }

    /** @return all open jobs, the oldest first */
    public List<Job> open() {
        return select(JOB.OPEN_KEY.isNotNull()).orderBy(JOB.ID).fetch(Jobs::job);
    }

    /** @return the open jobs of a battery, the newest first */
    public List<Job> openOf(long batteryId) {
        return select(JOB.BATTERY_ID.eq(batteryId).and(JOB.OPEN_KEY.isNotNull()))
                .orderBy(JOB.ID.desc())
                .fetch(Jobs::job);
    }

    /** @return the open job of one procedure on a battery */
    public Optional<Long> openOf(String procedure, long batteryId) {
        return sql.select(JOB.ID)
                .from(JOB)
                .where(JOB.BATTERY_ID
                        .eq(batteryId)
                        .and(JOB.PROCEDURE_ID.eq(procedure))
                        .and(JOB.OPEN_KEY.isNotNull()))
                .fetchOptional(JOB.ID);
    }

    /** @return the battery's jobs, open ones first, then the newest */
    public List<Job> ofBattery(long batteryId, int limit) {
        return select(JOB.BATTERY_ID.eq(batteryId))
                .orderBy(JOB.OPEN_KEY.isNull(), JOB.ID.desc())
                .limit(limit)
                .fetch(Jobs::job);
    }

    /** @return ended jobs of a machine, the newest first */
    public List<Job> ofMachine(long machineId, int limit) {
        return select(JOB.MACHINE_ID.eq(machineId).and(JOB.OPEN_KEY.isNull()))
                .orderBy(JOB.ID.desc())
                .limit(limit)
                .fetch(Jobs::job);
    }

    /** @return ended jobs of a procedure, the newest first */
    public List<Job> endedOf(String procedureId, int limit) {
        return select(JOB.PROCEDURE_ID.eq(procedureId).and(JOB.OPEN_KEY.isNull()))
                .orderBy(JOB.ID.desc())
                .limit(limit)
                .fetch(Jobs::job);
    }

    /** @return ended jobs, the newest first */
    public List<Job> ended(int limit) {
        return select(JOB.OPEN_KEY.isNull())
                .orderBy(JOB.ENDED_AT.desc(), JOB.ID.desc())
                .limit(limit)
                .fetch(Jobs::job);
    }

    private SelectConditionStep<Record> select(Condition condition) {
        return sql.select(JOB.fields())
                .select(BATTERY.CODE, MACHINE.CODE, PERSON.NAME, CHARGER.CODE)
                .from(JOB)
                .join(PERSON)
                .on(PERSON.ID.eq(JOB.BEGUN_BY))
                .leftJoin(BATTERY)
                .on(BATTERY.ID.eq(JOB.BATTERY_ID))
                .leftJoin(MACHINE)
                .on(MACHINE.ID.eq(JOB.MACHINE_ID))
                .leftJoin(CHARGER)
                .on(CHARGER.ID.eq(JOB.CHARGER_ID))
                .where(condition);
    }

    private static Job job(Record r) {
        @Nullable String kind = r.get(JOB.CHARGE_KIND);
        return new Job(
                r.get(JOB.ID),
                r.get(JOB.PROCEDURE_ID),
                r.get(JOB.TEXT),
                new Job.Subject(
                        r.get(JOB.ROOM_ID),
                        r.get(JOB.BATTERY_ID),
                        r.get(BATTERY.CODE),
                        r.get(JOB.MACHINE_ID),
                        r.get(MACHINE.CODE)),
                new Job.Charging(
                        r.get(JOB.CHARGER_ID), r.get(CHARGER.CODE), kind == null ? null : ChargeKind.valueOf(kind)),
                r.get(JOB.BEGUN_AT),
                r.get(PERSON.NAME),
                Status.valueOf(r.get(JOB.STATUS)),
                r.get(JOB.ENDED_AT));
    }

    /** Locks a job against a second writer until the transaction ends. */
    public void lock(long jobId) {
        sql.select(JOB.ID).from(JOB).where(JOB.ID.eq(jobId)).forUpdate().fetchOptional();
    }

    /** @return what happened, in order */
    public List<JobEvent> events(long jobId) {
        return sql.select(JOB_EVENT.fields())
                .select(PERSON.NAME)
                .from(JOB_EVENT)
                .join(PERSON)
                .on(PERSON.ID.eq(JOB_EVENT.PERSON_ID))
                .where(JOB_EVENT.JOB_ID.eq(jobId))
                .orderBy(JOB_EVENT.SEQ)
                .fetch(r -> new JobEvent(
                        r.get(JOB_EVENT.ID),
                        r.get(JOB_EVENT.SEQ),
                        new RunEvent(
                                r.get(JOB_EVENT.HAPPENED_AT),
                                r.get(PERSON.NAME),
                                RunEvent.Kind.valueOf(r.get(JOB_EVENT.KIND)),
                                r.get(JOB_EVENT.ABOUT),
                                r.get(JOB_EVENT.VALUE))));
    }

    public boolean isKept(String clientKey) {
        return sql.fetchExists(JOB_EVENT, JOB_EVENT.CLIENT_KEY.eq(clientKey));
    }

    /** An event to be kept. */
    public record NewEvent(String clientKey, long personId, RunEvent.Kind kind, String about, String value) {}

    /** @param seq the next of the job */
    public void keep(long jobId, int seq, NewEvent event) {
        sql.insertInto(JOB_EVENT)
                .set(JOB_EVENT.JOB_ID, jobId)
                .set(JOB_EVENT.SEQ, seq)
                .set(JOB_EVENT.CLIENT_KEY, event.clientKey())
                .set(JOB_EVENT.HAPPENED_AT, clock.instant())
                .set(JOB_EVENT.PERSON_ID, event.personId())
                .set(JOB_EVENT.KIND, event.kind().name())
                .set(JOB_EVENT.ABOUT, event.about())
                .set(JOB_EVENT.VALUE, event.value())
                .execute();
    }

    public void stands(long jobId, Status status) {
        sql.update(JOB)
                .set(JOB.STATUS, status.name())
                .where(JOB.ID.eq(jobId).and(JOB.OPEN_KEY.isNotNull()))
                .execute();
    }

    /** @param ledgerEntryId null for a job on the room */
    public void end(long jobId, @Nullable Long ledgerEntryId) {
        Instant now = clock.instant();
        sql.update(JOB)
                .set(JOB.STATUS, Status.FINISHED.name())
                .setNull(JOB.OPEN_KEY)
                .set(JOB.ENDED_AT, now)
                .set(JOB.LEDGER_ENTRY_ID, ledgerEntryId)
                .where(JOB.ID.eq(jobId))
                .execute();
    }
}
