package org.ostendum.app.plan.calendar;

import static org.ostendum.app.db.jooq.Tables.CALENDAR_FEED;
import static org.ostendum.app.db.jooq.Tables.PERSON;
import static org.ostendum.app.db.jooq.Tables.ROOM;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.SelectOnConditionStep;
import org.jspecify.annotations.Nullable;
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
     * @param room of which it tells then; null for all of them
     */
    record Feed(long id, String login, boolean whole, @Nullable RoomOfFeed room, Instant madeAt) {}

    /** A room with its name. */
    record RoomOfFeed(long id, String name) {}

    List<Feed> of(long personId) {
        return feeds().where(CALENDAR_FEED.PERSON_ID.eq(personId).and(CALENDAR_FEED.ENDED_AT.isNull()))
                .orderBy(CALENDAR_FEED.ID)
                .fetch(CalendarFeeds::feed);
    }

    /** @return empty for an address that is none, or has ended, or whose person may no longer sign in */
    Optional<Feed> byToken(String token) {
        return feeds().where(CALENDAR_FEED.TOKEN_HASH.eq(hash(token)))
                .and(CALENDAR_FEED.ENDED_AT.isNull())
                .and(PERSON.ACTIVE)
                .fetchOptional(CalendarFeeds::feed);
    }

    private SelectOnConditionStep<Record> feeds() {
        return sql.select(CALENDAR_FEED.fields())
                .select(PERSON.LOGIN, ROOM.NAME)
                .from(CALENDAR_FEED)
                .join(PERSON)
                .on(PERSON.ID.eq(CALENDAR_FEED.PERSON_ID))
                .leftJoin(ROOM)
                .on(ROOM.ID.eq(CALENDAR_FEED.ROOM_ID));
    }

    private static Feed feed(Record r) {
        @Nullable Long room = r.get(CALENDAR_FEED.ROOM_ID);
        return new Feed(
                r.get(CALENDAR_FEED.ID),
                r.get(PERSON.LOGIN),
                r.get(CALENDAR_FEED.WHOLE),
                room == null ? null : new RoomOfFeed(room, r.get(ROOM.NAME)),
                r.get(CALENDAR_FEED.MADE_AT));
    }

    /** @return the address's token, which is told once and kept nowhere */
    String add(long personId, boolean whole, @Nullable Long room, Instant now) {
        byte[] bytes = new byte[BYTES];
        chance.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        sql.insertInto(CALENDAR_FEED)
                .set(CALENDAR_FEED.TOKEN_HASH, hash(token))
                .set(CALENDAR_FEED.PERSON_ID, personId)
                .set(CALENDAR_FEED.WHOLE, whole)
                .set(CALENDAR_FEED.ROOM_ID, room)
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
