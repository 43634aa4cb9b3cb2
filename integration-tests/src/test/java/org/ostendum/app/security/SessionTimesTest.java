package org.ostendum.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Objects;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.Test;
import org.ostendum.app.support.ApplicationTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

class SessionTimesTest extends ApplicationTest {
    @Autowired
    private SessionRepository<? extends Session> sessions;

    @Autowired
    private DSLContext sql;

    /** Requests of the same minute leave the row as it is. */
    @Test
    void timesAreKeptToTheMinute() {
        // Near now: a session last used half a day ago is taken as gone.
        Instant minute = Instant.now().truncatedTo(ChronoUnit.MINUTES);
        String id = begin(sessions);
        touch(sessions, id, minute.plusMillis(7123));
        long first = expiry(id);
        touch(sessions, id, minute.plusMillis(59999));
        assertThat(expiry(id)).isEqualTo(first);
        assertThat(first % 60000).isZero();
        touch(sessions, id, minute.plusSeconds(60));
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
