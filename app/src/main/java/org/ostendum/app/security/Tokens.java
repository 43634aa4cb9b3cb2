package org.ostendum.app.security;

import static org.ostendum.app.db.jooq.Tables.API_TOKEN;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.people.Role;
import org.springframework.stereotype.Repository;

/** Tokens by which programs sign in under a person's name. Only their hashes are kept. */
@Repository
public class Tokens {
    private final DSLContext sql;
    private final Clock clock;
    private final ZoneId zone;

    Tokens(DSLContext sql, Clock clock, ZoneId zone) {
        this.sql = sql;
        this.clock = clock;
        this.zone = zone;
    }

    /**
     * @param writes whether it may write; else it only reads and reckons
     * @param usedOn the last day on which it was used, null for never
     */
    public record Token(long id, String name, boolean writes, Instant madeAt, @Nullable LocalDate usedOn) {}

    /** Who a token stands for. */
    public record Bearer(long tokenId, String login, Role role, boolean writes, @Nullable LocalDate usedOn) {}

    public void add(long personId, String name, String hash, boolean writes) {
        sql.insertInto(API_TOKEN)
                .set(API_TOKEN.PERSON_ID, personId)
                .set(API_TOKEN.NAME, name)
                .set(API_TOKEN.TOKEN_HASH, hash)
                .set(API_TOKEN.WRITES, writes)
                .set(API_TOKEN.MADE_AT, clock.instant())
                .execute();
    }

    /** @return those of a person that are in force, the newest first */
    public List<Token> of(long personId) {
        return sql.selectFrom(API_TOKEN)
                .where(API_TOKEN.PERSON_ID.eq(personId).and(API_TOKEN.ENDED_AT.isNull()))
                .orderBy(API_TOKEN.ID.desc())
                .fetch(r -> new Token(r.getId(), r.getName(), r.getWrites(), r.getMadeAt(), r.getUsedOn()));
    }

    /** Ends a token of this person; one of another stays. */
    public void end(long id, long personId) {
        sql.update(API_TOKEN)
                .set(API_TOKEN.ENDED_AT, clock.instant())
                .where(API_TOKEN.ID.eq(id).and(API_TOKEN.PERSON_ID.eq(personId)).and(API_TOKEN.ENDED_AT.isNull()))
                .execute();
    }

    /** @return who stands behind a token in force, if he is still active; his role is read at each call */
    public Optional<Bearer> bearer(String hash) {
        return sql.select(API_TOKEN.ID, PERSON.LOGIN, PERSON.ROLE, API_TOKEN.WRITES, API_TOKEN.USED_ON)
                .from(API_TOKEN)
                .join(PERSON)
                .on(PERSON.ID.eq(API_TOKEN.PERSON_ID))
                .where(API_TOKEN
                        .TOKEN_HASH
                        .eq(hash)
                        .and(API_TOKEN.ENDED_AT.isNull())
                        .and(PERSON.ACTIVE))
                .fetchOptional(
                        r -> new Bearer(r.value1(), r.value2(), Role.valueOf(r.value3()), r.value4(), r.value5()));
    }

    /** Once a day is enough to see which are used. */
    public void used(Bearer bearer) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        if (!today.equals(bearer.usedOn())) {
            sql.update(API_TOKEN)
                    .set(API_TOKEN.USED_ON, today)
                    .where(API_TOKEN.ID.eq(bearer.tokenId()))
                    .execute();
        }
    }
}
