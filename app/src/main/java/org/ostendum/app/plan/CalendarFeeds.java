package org.ostendum.app.plan;

import static org.ostendum.app.db.jooq.Tables.CALENDAR_FEED;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.ostendum.app.db.Sha256;
import org.springframework.stereotype.Repository;

/** Addresses under which calendars read the plan. */
@Repository
class CalendarFeeds {
    private static final int BYTES = 24;

    private final DSLContext sql;
    private final SecureRandom chance = new SecureRandom();

    CalendarFeeds(DSLContext sql) {
        this.sql = sql;
    }

    /**
     * One address.
     *
     * @param login of whose jobs it tells
     * @param whole whether it tells of everybody's
     */
    record Feed(long id, String login, boolean whole, Instant madeAt) {}

    List<Feed> of(long personId) {
        return sql.select(CALENDAR_FEED.ID, PERSON.LOGIN, CALENDAR_FEED.WHOLE, CALENDAR_FEED.MADE_AT)
                .from(CALENDAR_FEED)
                .join(PERSON)
                .on(PERSON.ID.eq(CALENDAR_FEED.PERSON_ID))
                .where(CALENDAR_FEED.PERSON_ID.eq(personId).and(CALENDAR_FEED.ENDED_AT.isNull()))
                .orderBy(CALENDAR_FEED.ID)
                .fetch(r -> new Feed(r.value1(), r.value2(), r.value3(), r.value4()));
    }

    /** @return empty for an address that is none, or has ended, or whose person may no longer sign in */
    Optional<Feed> byToken(String token) {
        return sql.select(CALENDAR_FEED.ID, PERSON.LOGIN, CALENDAR_FEED.WHOLE, CALENDAR_FEED.MADE_AT)
                .from(CALENDAR_FEED)
                .join(PERSON)
                .on(PERSON.ID.eq(CALENDAR_FEED.PERSON_ID))
                .where(CALENDAR_FEED.TOKEN_HASH.eq(hash(token)))
                .and(CALENDAR_FEED.ENDED_AT.isNull())
                .and(PERSON.ACTIVE)
                .fetchOptional(r -> new Feed(r.value1(), r.value2(), r.value3(), r.value4()));
    }

    /** @return the address's token, which is told once and kept nowhere */
    String add(long personId, boolean whole, Instant now) {
        byte[] bytes = new byte[BYTES];
        chance.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        sql.insertInto(CALENDAR_FEED)
                .set(CALENDAR_FEED.TOKEN_HASH, hash(token))
                .set(CALENDAR_FEED.PERSON_ID, personId)
                .set(CALENDAR_FEED.WHOLE, whole)
                .set(CALENDAR_FEED.MADE_AT, now)
                .execute();
        return token;
    }

    void end(long personId, long id, Instant now) {
        sql.update(CALENDAR_FEED)
                .set(CALENDAR_FEED.ENDED_AT, now)
                .where(CALENDAR_FEED.ID.eq(id).and(CALENDAR_FEED.PERSON_ID.eq(personId)))
                .execute();
    }

    private static String hash(String token) {
        return Sha256.hex(token.getBytes(StandardCharsets.UTF_8));
    }
}
