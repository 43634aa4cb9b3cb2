package org.ostendum.app.photo;

import static org.jooq.impl.DSL.select;
import static org.ostendum.app.db.jooq.Tables.DEFECT;
import static org.ostendum.app.db.jooq.Tables.INCIDENT;
import static org.ostendum.app.db.jooq.Tables.JOB;
import static org.ostendum.app.db.jooq.Tables.PERSON;
import static org.ostendum.app.db.jooq.Tables.PHOTO;
import static org.ostendum.app.db.jooq.Tables.ROUND;

import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.TableField;
import org.ostendum.app.db.jooq.tables.records.PhotoRecord;
import org.springframework.stereotype.Repository;

/** Pictures of jobs, defects, rounds and incidents, re-encoded so that nothing but the picture is kept. */
@Repository
public class Photos {
    private final DSLContext sql;
    private final Clock clock;

    Photos(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** A picture without its bytes. */
    public record PhotoName(long id, String name, int width, int height, String addedBy) {}

    /** A picture's bytes and what they are. Never compared. */
    @SuppressWarnings("ArrayRecordComponent")
    public record Image(String mediaType, byte[] bytes) {}

    /** A picture to be kept. Never compared. */
    @SuppressWarnings("ArrayRecordComponent")
    public record NewPhoto(
            String name, String mediaType, int width, int height, String sha256, byte[] content, byte[] thumbnail) {}

    /** What a picture shows. */
    public enum Subject {
        JOB,
        DEFECT,
        ROUND,
        INCIDENT
    }

    /** A job, a defect, a round or an incident by its id. */
    public record Of(Subject subject, long id) {
        private TableField<PhotoRecord, Long> column() {
            return switch (subject) {
                case JOB -> PHOTO.JOB_ID;
                case DEFECT -> PHOTO.DEFECT_ID;
                case ROUND -> PHOTO.ROUND_ID;
                case INCIDENT -> PHOTO.INCIDENT_ID;
            };
        }
    }

    public List<PhotoName> of(Of of) {
        return fetch(of.column().eq(of.id()));
    }

    /** @return names of every photo taken at jobs, defects, rounds and incidents of a battery, oldest first */
    public List<PhotoName> ofBattery(long batteryId) {
        return fetch(PHOTO.JOB_ID
                .in(select(JOB.ID).from(JOB).where(JOB.BATTERY_ID.eq(batteryId)))
                .or(PHOTO.DEFECT_ID.in(select(DEFECT.ID).from(DEFECT).where(DEFECT.BATTERY_ID.eq(batteryId))))
                .or(PHOTO.ROUND_ID.in(select(ROUND.ID).from(ROUND).where(ROUND.BATTERY_ID.eq(batteryId))))
                .or(PHOTO.INCIDENT_ID.in(select(INCIDENT.ID).from(INCIDENT).where(INCIDENT.BATTERY_ID.eq(batteryId)))));
    }

    /** @return names of the photos of jobs of some procedures on a battery, oldest first */
    public List<PhotoName> ofJobs(long batteryId, Collection<String> procedures) {
        return fetch(PHOTO.JOB_ID.in(
                select(JOB.ID).from(JOB).where(JOB.BATTERY_ID.eq(batteryId).and(JOB.PROCEDURE_ID.in(procedures)))));
    }

    /** @return photos of all open defects by the defect's id */
    public Map<Long, List<PhotoName>> ofOpenDefects() {
        return sql.select(PHOTO.ID, PHOTO.NAME, PHOTO.WIDTH, PHOTO.HEIGHT, PERSON.NAME, PHOTO.DEFECT_ID)
                .from(PHOTO)
                .join(PERSON)
                .on(PERSON.ID.eq(PHOTO.ADDED_BY))
                .join(DEFECT)
                .on(DEFECT.ID.eq(PHOTO.DEFECT_ID))
                .where(DEFECT.DONE_AT.isNull())
                .orderBy(PHOTO.ID)
                .fetchGroups(PHOTO.DEFECT_ID, Photos::name);
    }

    private List<PhotoName> fetch(Condition which) {
        return sql.select(PHOTO.ID, PHOTO.NAME, PHOTO.WIDTH, PHOTO.HEIGHT, PERSON.NAME)
                .from(PHOTO)
                .join(PERSON)
                .on(PERSON.ID.eq(PHOTO.ADDED_BY))
                .where(which)
                .orderBy(PHOTO.ID)
                .fetch(Photos::name);
    }

    private static PhotoName name(Record r) {
        return new PhotoName(
                r.get(PHOTO.ID), r.get(PHOTO.NAME), r.get(PHOTO.WIDTH), r.get(PHOTO.HEIGHT), r.get(PERSON.NAME));
    }

    int count(Of of) {
        return sql.fetchCount(PHOTO, of.column().eq(of.id()));
    }

    public Optional<Image> image(long id, boolean thumbnail) {
        return sql.select(PHOTO.MEDIA_TYPE, thumbnail ? PHOTO.THUMBNAIL : PHOTO.CONTENT)
                .from(PHOTO)
                .where(PHOTO.ID.eq(id))
                .fetchOptional(r -> new Image(r.value1(), r.value2()));
    }

    /** Keeps a picture; the same one sent twice to the same job, defect, round or incident is kept once. */
    public void keep(Of of, NewPhoto photo, long personId) {
        sql.insertInto(PHOTO)
                .set(of.column(), of.id())
                .set(PHOTO.NAME, photo.name())
                .set(PHOTO.MEDIA_TYPE, photo.mediaType())
                .set(PHOTO.WIDTH, photo.width())
                .set(PHOTO.HEIGHT, photo.height())
                .set(PHOTO.SHA256, photo.sha256())
                .set(PHOTO.CONTENT, photo.content())
                .set(PHOTO.THUMBNAIL, photo.thumbnail())
                .set(PHOTO.ADDED_AT, clock.instant())
                .set(PHOTO.ADDED_BY, personId)
                .onDuplicateKeyIgnore()
                .execute();
    }
}
