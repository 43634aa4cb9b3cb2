package org.ostendum.app.job;

import static org.ostendum.app.db.jooq.Tables.JOB;
import static org.ostendum.app.db.jooq.Tables.PERSON;
import static org.ostendum.app.db.jooq.Tables.PHOTO;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Pictures taken at a job, re-encoded so that nothing but the picture is kept. */
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

    public List<PhotoName> ofJob(long jobId) {
        return sql.select(PHOTO.ID, PHOTO.NAME, PHOTO.WIDTH, PHOTO.HEIGHT, PERSON.NAME)
                .from(PHOTO)
                .join(PERSON)
                .on(PERSON.ID.eq(PHOTO.ADDED_BY))
                .where(PHOTO.JOB_ID.eq(jobId))
                .orderBy(PHOTO.ID)
                .fetch(r -> new PhotoName(
                        r.get(PHOTO.ID),
                        r.get(PHOTO.NAME),
                        r.get(PHOTO.WIDTH),
                        r.get(PHOTO.HEIGHT),
                        r.get(PERSON.NAME)));
    }

    /** @return names of every photo taken at jobs on a battery, oldest first */
    public List<PhotoName> ofBattery(long batteryId) {
        return sql.select(PHOTO.ID, PHOTO.NAME, PHOTO.WIDTH, PHOTO.HEIGHT, PERSON.NAME)
                .from(PHOTO)
                .join(PERSON)
                .on(PERSON.ID.eq(PHOTO.ADDED_BY))
                .join(JOB)
                .on(JOB.ID.eq(PHOTO.JOB_ID))
                .where(JOB.BATTERY_ID.eq(batteryId))
                .orderBy(PHOTO.ID)
                .fetch(r -> new PhotoName(
                        r.get(PHOTO.ID),
                        r.get(PHOTO.NAME),
                        r.get(PHOTO.WIDTH),
                        r.get(PHOTO.HEIGHT),
                        r.get(PERSON.NAME)));
    }

    public int count(long jobId) {
        return sql.fetchCount(PHOTO, PHOTO.JOB_ID.eq(jobId));
    }

    public Optional<Image> image(long id, boolean thumbnail) {
        return sql.select(PHOTO.MEDIA_TYPE, thumbnail ? PHOTO.THUMBNAIL : PHOTO.CONTENT)
                .from(PHOTO)
                .where(PHOTO.ID.eq(id))
                .fetchOptional(r -> new Image(r.value1(), r.value2()));
    }

    /** Keeps a picture; the same one sent twice to a job is kept once. */
    public void keep(long jobId, NewPhoto photo, long personId) {
        sql.insertInto(PHOTO)
                .set(PHOTO.JOB_ID, jobId)
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
