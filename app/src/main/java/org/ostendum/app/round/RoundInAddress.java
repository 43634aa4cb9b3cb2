package org.ostendum.app.round;

import org.ostendum.app.page.Named;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands in addresses for rounds that are being taken. */
@Configuration
class RoundInAddress {
    @Bean
    Named<OpenRound> namedRound(OpenRounds rounds) {
        return Named.byId(OpenRound.class, rounds::byId);
    }
}
