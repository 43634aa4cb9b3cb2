package org.ostendum.demo;

import java.time.Clock;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.ComponentScan;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;

/** What the demo adds to the application. */
@Configuration
@ComponentScan
public class DemoConfiguration {
    @Bean
    @Primary
    DemoClock demoClock(@Qualifier("clock") Clock real) {
        return new DemoClock(real);
    }
}
