package org.ostendum.web;

import java.time.Clock;
import java.time.ZoneId;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** The application. */
@SpringBootApplication
public class Ostendum {
    public static void main(String[] arguments) {
        SpringApplication.run(Ostendum.class, arguments);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    /** The zone in which the room's people read a clock. */
    @Bean
    ZoneId zone(@Value("${ostendum.zone}") String zone) {
        return ZoneId.of(zone);
    }
}
