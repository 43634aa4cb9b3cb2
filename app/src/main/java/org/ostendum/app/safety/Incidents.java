package org.ostendum.app.safety;

import static org.ostendum.app.db.jooq.Tables.INCIDENT;
import static org.ostendum.app.db.jooq.Tables.JOB;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.jooq.tables.Person;
import org.ostendum.app.db.jooq.tables.records.IncidentRecord;
import org.springframework.stereotype.Repository;

/** Incident reports, from the end of the response to the lead's review. */
@Repository
public class Incidents {
    private static final Person REVIEWER = PERSON.as("reviewer");

    private final DSLContext sql;
    private final Clock clock;

    Incidents(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * A report with who wrote it and who closed it.
     *
     * @param reviewedAt null while it is open
     */
    public record Incident(
            long jobId,
            Instant happenedAt,
            Report report,
            String writtenBy,
            Instant writtenAt,
            @Nullable Instant reviewedAt,
            @Nullable String reviewedBy,
            @Nullable String review) {
        public boolean isOpen() {
            return reviewedAt == null;
        }
    }

    public Optional<Incident> ofJob(long jobId) {
        return fetch(INCIDENT.JOB_ID.eq(jobId)).stream().findFirst();
    }

    /** @return all reports, open ones first */
    public List<Incident> all() {
        return fetch(INCIDENT.ID.isNotNull());
    }

    private List<Incident> fetch(Condition condition) {
        return sql.select(INCIDENT.fields())
                .select(JOB.BEGUN_AT, PERSON.NAME, REVIEWER.NAME)
                .from(INCIDENT)
                .join(JOB)
                .on(JOB.ID.eq(INCIDENT.JOB_ID))
                .join(PERSON)
                .on(PERSON.ID.eq(INCIDENT.WRITTEN_BY))
                .leftJoin(REVIEWER)
                .on(REVIEWER.ID.eq(INCIDENT.REVIEWED_BY))
                .where(condition)
                .orderBy(INCIDENT.REVIEWED_AT.isNotNull(), INCIDENT.ID.desc())
                .fetch(r -> new Incident(
                        r.get(INCIDENT.JOB_ID),
                        r.get(JOB.BEGUN_AT),
                        report(r),
                        r.get(PERSON.NAME),
                        r.get(INCIDENT.WRITTEN_AT),
                        r.get(INCIDENT.REVIEWED_AT),
                        r.get(REVIEWER.NAME),
                        r.get(INCIDENT.REVIEW)));
    }

    /**
     * What a report says.
     *
     * @param litres that ran out; null where nobody can say
     * @param hurt how many people; null in reports of before that was asked
     * @param kitRefilledOn null until the kit is full and dated again
     */
    public record Report(
            String place,
            @Nullable BigDecimal litres,
            @Nullable Integer hurt,
            String cause,
            String corrective,
            String prevention,
            @Nullable LocalDate kitRefilledOn) {}

    private static Report report(Record r) {
        return new Report(
                r.get(INCIDENT.PLACE),
                r.get(INCIDENT.LITRES),
                r.get(INCIDENT.HURT) == null
                        ? null
                        : (Integer) r.get(INCIDENT.HURT).intValue(),
                r.get(INCIDENT.CAUSE),
                r.get(INCIDENT.CORRECTIVE),
                r.get(INCIDENT.PREVENTION),
                r.get(INCIDENT.KIT_REFILLED_ON));
    }

    /** Writes the report, or writes it anew while it is open. */
    public void write(long jobId, Report report, long personId) {
        IncidentRecord row = new IncidentRecord();
        row.setPlace(report.place());
        row.setLitres(report.litres());
        row.setHurt(report.hurt() == null ? null : (Short) report.hurt().shortValue());
        row.setCause(report.cause());
        row.setCorrective(report.corrective());
        row.setPrevention(report.prevention());
        row.setKitRefilledOn(report.kitRefilledOn());
        sql.insertInto(INCIDENT)
                .set(row)
                .set(INCIDENT.JOB_ID, jobId)
                .set(INCIDENT.WRITTEN_AT, clock.instant())
                .set(INCIDENT.WRITTEN_BY, personId)
                .onDuplicateKeyUpdate()
                .set(row)
                .execute();
    }

    /** @return whether it was open and complete */
    public boolean close(long jobId, String review, long personId) {
        return sql.update(INCIDENT)
                        .set(INCIDENT.REVIEWED_AT, clock.instant())
                        .set(INCIDENT.REVIEWED_BY, personId)
                        .set(INCIDENT.REVIEW, review)
                        .where(INCIDENT.JOB_ID
                                .eq(jobId)
                                .and(INCIDENT.REVIEWED_AT.isNull())
                                .and(INCIDENT.KIT_REFILLED_ON.isNotNull()))
                        .execute()
                == 1;
    }
}
