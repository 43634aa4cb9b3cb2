package org.ostendum.app.incident;

import org.ostendum.app.page.Named;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands in addresses for incidents. */
@Configuration
class IncidentInAddress {
    @Bean
    Named<Incident> namedIncident(Incidents incidents) {
        return Named.byId(Incident.class, incidents::byId);
    }
}
