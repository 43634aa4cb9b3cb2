package org.ostendum.app.exchange;

import static org.ostendum.app.db.jooq.Tables.IMPORT_FILE;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Files that were looked at and wait for the word to take them in. */
@Repository
public class ImportFiles {
    /** Nobody comes back to a file after so long. */
    private static final Duration KEPT = Duration.ofDays(7);

    private final DSLContext sql;
    private final Clock clock;

    ImportFiles(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** What a file holds. */
    public enum Kind {
        ROUNDS,
        EVENTS,
        /** Files of a fleet, one or all in an archive. */
        FLEET
    }

    // Read once and never compared.
    @SuppressWarnings("ArrayRecordComponent")
    public record Waiting(long id, Kind kind, String name, byte[] content) {}

    public long keep(Kind kind, String name, byte[] content, long personId) {
        sql.deleteFrom(IMPORT_FILE)
                .where(IMPORT_FILE.UPLOADED_AT.lt(clock.instant().minus(KEPT)))
                .execute();
        return sql.insertInto(IMPORT_FILE)
                .set(IMPORT_FILE.KIND, kind.name())
                .set(IMPORT_FILE.NAME, name)
                .set(IMPORT_FILE.CONTENT, content)
                .set(IMPORT_FILE.UPLOADED_AT, clock.instant())
                .set(IMPORT_FILE.UPLOADED_BY, personId)
                .returning(IMPORT_FILE.ID)
                .fetchSingle(IMPORT_FILE.ID);
    }

    public Optional<Waiting> find(long id) {
        return sql.selectFrom(IMPORT_FILE)
                .where(IMPORT_FILE.ID.eq(id))
                .fetchOptional(r -> new Waiting(r.getId(), Kind.valueOf(r.getKind()), r.getName(), r.getContent()));
    }

    public void forget(long id) {
        sql.deleteFrom(IMPORT_FILE).where(IMPORT_FILE.ID.eq(id)).execute();
    }
}
