package org.ostendum.app.db;

import org.springframework.boot.jooq.autoconfigure.DefaultConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How the stores speak to the database. */
@Configuration
class StoreConfiguration {
    /** No store writes through a record it has read, so records need not know their connection. */
    @Bean
    DefaultConfigurationCustomizer detachedRecords() {
        return configuration ->
                configuration.settings().withAttachRecords(false).withExecuteLogging(false);
    }
}
