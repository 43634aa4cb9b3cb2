package org.ostendum.app.security;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.support.TransactionOperations;

/**
 * What every request pays for its session. Its times are kept to the minute, so that only the first request of a minute changes its row: writing
 * to the disk at every request would cost more than most requests take. And each of its few statements stands for itself: to open and to
 * end a transaction around one takes longer than the statement does.
 */
@Configuration
class SessionTimes {
    /** Times in milliseconds; the order of the parameters is the repository's. */
    private static final String UPDATE =
            """
            update SPRING_SESSION set SESSION_ID = ?, LAST_ACCESS_TIME = ? div 60000 * 60000, MAX_INACTIVE_INTERVAL = ?,
              EXPIRY_TIME = ? div 60000 * 60000, PRINCIPAL_NAME = ? where PRIMARY_ID = ?
            """;

    // Of this name alone: whoever else writes has transactions.
    @Bean(defaultCandidate = false)
    TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> timesToTheMinute() {
        return repository -> repository.setUpdateSessionQuery(UPDATE);
    }
}
