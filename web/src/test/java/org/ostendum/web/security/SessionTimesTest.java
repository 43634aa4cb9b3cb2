package org.ostendum.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.Test;
import org.ostendum.web.support.HouseTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

class SessionTimesTest extends HouseTest {
    @Autowired
    private SessionRepository<? extends Session> sessions;

    @Autowired
    private DSLContext sql;

    /** Requests of the same minute leave the row as it is. */
    @Test
    void timesAreKeptToTheMinute() {
        String id = begin(sessions);
        touch(sessions, id, Instant.parse("2026-11-25T08:15:07.123Z"));
        long first = expiry(id);
        touch(sessions, id, Instant.parse("2026-11-25T08:15:59.999Z"));
        assertThat(expiry(id)).isEqualTo(first);
        assertThat(first % 60000).isZero();
        touch(sessions, id, Instant.parse("2026-11-25T08:16:00Z"));
        assertThat(expiry(id)).isEqualTo(first + 60000);
    }

    @Test
    void aSessionInUseIsKeptAndAnOldOneIsGone() {
        String id = begin(sessions);
        touch(sessions, id, Instant.now().minus(Duration.ofHours(11)));
        assertThat(sessions.findById(id)).isNotNull();
        touch(sessions, id, Instant.now().minus(Duration.ofHours(13)));
        assertThat(sessions.findById(id)).isNull();
    }

    private static <S extends Session> String begin(SessionRepository<S> sessions) {
        S session = sessions.createSession();
        session.setMaxInactiveInterval(Duration.ofHours(12));
        sessions.save(session);
        return session.getId();
    }

    private static <S extends Session> void touch(SessionRepository<S> sessions, String id, Instant when) {
        S session = Objects.requireNonNull(sessions.findById(id));
        session.setLastAccessedTime(when);
        sessions.save(session);
    }

    private long expiry(String id) {
        return sql.select(DSL.field("EXPIRY_TIME", Long.class))
                .from(DSL.table("SPRING_SESSION"))
                .where(DSL.field("SESSION_ID", String.class).eq(id))
                .fetchSingle()
                .value1();
    }
}
