package org.ostendum.app.exchange;

import org.ostendum.app.page.Named;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands in addresses for files that wait to be taken. */
@Configuration
class FileInAddress {
    @Bean
    Named<ImportFiles.Waiting> namedFile(ImportFiles files) {
        return Named.byId(ImportFiles.Waiting.class, files::find);
    }
}
