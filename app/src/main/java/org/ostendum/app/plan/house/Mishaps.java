package org.ostendum.app.plan.house;

import static org.ostendum.app.db.jooq.Tables.MISHAP;

import java.time.Instant;
import java.util.List;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** What has gone wrong and is not over. */
@Repository
public class Mishaps {
    private final DSLContext sql;

    Mishaps(DSLContext sql) {
        this.sql = sql;
    }

    public List<Mishap> notOver(Instant now) {
        return sql.selectFrom(MISHAP)
                .where(MISHAP.UNTIL_AT.gt(now).and(MISHAP.OVER_AT.isNull()))
                .orderBy(MISHAP.ID)
                .fetch(r -> new Mishap(
                        r.getId(),
                        Mishap.Kind.valueOf(r.getKind()),
                        r.getAbout(),
                        r.getFromAt(),
                        r.getUntilAt(),
                        r.getAmount()));
    }

    public void add(
            Mishap.Kind kind,
            String about,
            Instant from,
            Instant until,
            @Nullable Double amount,
            long by,
            Instant now) {
        sql.insertInto(MISHAP)
                .set(MISHAP.KIND, kind.name())
                .set(MISHAP.ABOUT, about)
                .set(MISHAP.FROM_AT, from)
                .set(MISHAP.UNTIL_AT, until)
                .set(MISHAP.AMOUNT, amount)
                .set(MISHAP.SAID_AT, now)
                .set(MISHAP.SAID_BY, by)
                .execute();
    }

    public void over(long id, Instant now) {
        sql.update(MISHAP)
                .set(MISHAP.OVER_AT, now)
                .where(MISHAP.ID.eq(id).and(MISHAP.OVER_AT.isNull()))
                .execute();
    }
}
