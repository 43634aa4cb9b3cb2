package org.ostendum.app;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import org.ostendum.app.site.Sites;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The application. */
@SpringBootApplication
@EnableScheduling
public class Ostendum {
    public static void main(String[] arguments) {
        SpringApplication.run(Ostendum.class, arguments);
    }

    /**
     * The clock of the site. With simulated equipment it may run fast.
     *
     * @param agreed when the fast clock and the system’s showed the same; empty for now
     */
    @Bean
    Clock clock(@Value("${ostendum.clock.speed}") double speed, @Value("${ostendum.clock.agreed}") String agreed) {
        Clock system = Clock.systemUTC();
        return speed == 1
                ? system
                : new FastClock(system, agreed.isEmpty() ? system.instant() : Instant.parse(agreed), speed);
    }

    /** The zone in which the room's people read a clock: what the site says, or else what the application was started with. */
    @Bean
    ZoneId zone(@Value("${ostendum.zone}") String zone, Sites sites) {
        String ofSite = sites.site().zone();
        return ZoneId.of(ofSite.isEmpty() ? zone : ofSite);
    }
}
