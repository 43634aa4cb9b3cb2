package org.ostendum.app.job;

import org.ostendum.app.page.Named;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands in addresses for jobs. */
@Configuration
class JobInAddress {
    @Bean
    Named<Job> namedJob(Jobs jobs) {
        return Named.byId(Job.class, jobs::byId);
    }
}
