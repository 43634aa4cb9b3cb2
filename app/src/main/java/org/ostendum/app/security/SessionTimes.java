package org.ostendum.app.security;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/**
 * Keeps a session's times to the minute, so that only the first request of a minute changes its row: writing to the disk at every
 * request would cost more than most requests take.
 */
@Configuration
class SessionTimes {
    /** Times in milliseconds; the order of the parameters is the repository's. */
    private static final String UPDATE =
            """
            update SPRING_SESSION set SESSION_ID = ?, LAST_ACCESS_TIME = ? div 60000 * 60000, MAX_INACTIVE_INTERVAL = ?,
              EXPIRY_TIME = ? div 60000 * 60000, PRINCIPAL_NAME = ? where PRIMARY_ID = ?
            """;

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> timesToTheMinute() {
        return repository -> repository.setUpdateSessionQuery(UPDATE);
    }
}
