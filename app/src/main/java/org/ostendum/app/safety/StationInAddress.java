package org.ostendum.app.safety;

import org.ostendum.app.page.Named;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands in addresses for stations. */
@Configuration
class StationInAddress {
    @Bean
    Named<Stations.Station> namedStation(Stations stations) {
        return Named.byId(Stations.Station.class, stations::byId);
    }
}
