package org.ostendum.app.incident;

import static org.ostendum.app.db.jooq.Tables.BATTERY;
import static org.ostendum.app.db.jooq.Tables.INCIDENT;
import static org.ostendum.app.db.jooq.Tables.JOB;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.jooq.tables.Person;
import org.ostendum.app.db.jooq.tables.records.IncidentRecord;
import org.ostendum.app.incident.Incident.Course;
import org.ostendum.app.incident.Incident.Lesson;
import org.ostendum.app.incident.Incident.Review;
import org.ostendum.core.safety.IncidentKind;
import org.springframework.stereotype.Repository;

/** Incident reports, from the first word to the lead's review. */
@Repository
public class Incidents {
    private static final Person REVIEWER = PERSON.as("reviewer");

    private final DSLContext sql;
    private final Clock clock;

    Incidents(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    public Optional<Incident> ofJob(long jobId) {
        return fetch(INCIDENT.JOB_ID.eq(jobId)).stream().findFirst();
    }

    boolean isJob(long id) {
        return sql.fetchExists(JOB, JOB.ID.eq(id));
    }

    /** @return the report of a form that was sent before */
    Optional<Incident> ofForm(String key) {
        return fetch(INCIDENT.FORM_KEY.eq(key)).stream().findFirst();
    }

    public Optional<Incident> byId(long id) {
        return fetch(INCIDENT.ID.eq(id)).stream().findFirst();
    }

    /** @return all reports, open ones first, then the newest */
    public List<Incident> all() {
        return fetch(INCIDENT.ID.isNotNull());
    }

    public List<Incident> open() {
        return fetch(INCIDENT.REVIEWED_AT.isNull());
    }

    /** @return those that happened in a time, its end not included */
    public List<Incident> between(Instant from, Instant until) {
        return fetch(INCIDENT.HAPPENED_AT.ge(from).and(INCIDENT.HAPPENED_AT.lt(until)));
    }

    private List<Incident> fetch(Condition condition) {
        return sql.select(INCIDENT.fields())
                .select(BATTERY.CODE, PERSON.NAME, REVIEWER.NAME)
                .from(INCIDENT)
                .join(PERSON)
                .on(PERSON.ID.eq(INCIDENT.WRITTEN_BY))
                .leftJoin(REVIEWER)
                .on(REVIEWER.ID.eq(INCIDENT.REVIEWED_BY))
                .leftJoin(BATTERY)
                .on(BATTERY.ID.eq(INCIDENT.BATTERY_ID))
                .where(condition)
                .orderBy(INCIDENT.REVIEWED_AT.isNotNull(), INCIDENT.HAPPENED_AT.desc(), INCIDENT.ID.desc())
                .fetch(Incidents::incident);
    }

    private static Incident incident(Record r) {
        return new Incident(
                r.get(INCIDENT.ID),
                r.get(INCIDENT.VERSION),
                r.get(INCIDENT.JOB_ID),
                course(r),
                new Lesson(
                        r.get(INCIDENT.CAUSE),
                        r.get(INCIDENT.CORRECTIVE),
                        r.get(INCIDENT.PREVENTION),
                        r.get(INCIDENT.KIT_REFILLED_ON)),
                r.get(PERSON.NAME),
                r.get(INCIDENT.WRITTEN_AT),
                review(r));
    }

    private static Course course(Record r) {
        Short hurt = r.get(INCIDENT.HURT);
        return new Course(
                IncidentKind.valueOf(r.get(INCIDENT.KIND)),
                r.get(INCIDENT.HAPPENED_AT),
                r.get(INCIDENT.PLACE),
                r.get(INCIDENT.BATTERY_ID),
                r.get(BATTERY.CODE),
                r.get(INCIDENT.LITRES),
                hurt == null ? null : (Integer) hurt.intValue(),
                r.get(INCIDENT.WHAT),
                r.get(INCIDENT.AID));
    }

    private static @Nullable Review review(Record r) {
        Instant at = r.get(INCIDENT.REVIEWED_AT);
        return at == null
                ? null
                : new Review(r.get(REVIEWER.NAME), at, Objects.requireNonNullElse(r.get(INCIDENT.REVIEW), ""));
    }

    /**
     * @param jobId the job that answered it, which has one report at most; null for none
     * @param formKey by which a form that is sent twice is known; null for none
     * @return id of the report
     */
    public long add(@Nullable Long jobId, @Nullable String formKey, Course course, Lesson lesson, long personId) {
        return Objects.requireNonNull(sql.insertInto(INCIDENT)
                        .set(row(course, lesson))
                        .set(INCIDENT.JOB_ID, jobId)
                        .set(INCIDENT.FORM_KEY, formKey)
                        .set(INCIDENT.WRITTEN_AT, clock.instant())
                        .set(INCIDENT.WRITTEN_BY, personId)
                        .returning(INCIDENT.ID)
                        .fetchOne())
                .getId();
    }

    /** @return whether it was open and nobody had written it since the form was shown */
    boolean rewrite(long id, IncidentForm form, Course course) {
        int version = Objects.requireNonNullElse(form.version(), 0);
        return sql.update(INCIDENT)
                        .set(row(course, form.lesson()))
                        .set(INCIDENT.VERSION, version + 1)
                        .where(INCIDENT.ID
                                .eq(id)
                                .and(INCIDENT.VERSION.eq(version))
                                .and(INCIDENT.REVIEWED_AT.isNull()))
                        .execute()
                == 1;
    }

    private static IncidentRecord row(Course course, Lesson lesson) {
        IncidentRecord row = new IncidentRecord();
        row.setKind(course.kind().name());
        row.setHappenedAt(course.at());
        row.setPlace(course.place());
        row.setBatteryId(course.batteryId());
        row.setLitres(course.litres());
        row.setHurt(course.hurt() == null ? null : (Short) course.hurt().shortValue());
        row.setWhat(course.what());
        row.setAid(course.aid());
        row.setCause(lesson.cause());
        row.setCorrective(lesson.corrective());
        row.setPrevention(lesson.prevention());
        row.setKitRefilledOn(lesson.kitRefilledOn());
        return row;
    }

    /** @return whether it was open, and as the reviewer has read it */
    public boolean close(long id, int version, String review, long personId) {
        return sql.update(INCIDENT)
                        .set(INCIDENT.REVIEWED_AT, clock.instant())
                        .set(INCIDENT.REVIEWED_BY, personId)
                        .set(INCIDENT.REVIEW, review)
                        .where(INCIDENT.ID
                                .eq(id)
                                .and(INCIDENT.VERSION.eq(version))
                                .and(INCIDENT.REVIEWED_AT.isNull()))
                        .execute()
                == 1;
    }
}
