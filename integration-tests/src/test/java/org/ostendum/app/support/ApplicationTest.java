package org.ostendum.app.support;

import java.time.Clock;
import java.time.Duration;
import org.ostendum.app.Ostendum;
import org.ostendum.demo.DemoBeans;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.bean.override.convention.TestBean;

/** The whole application with the demo in it, on a real database of its own; one for all tests of a fork. */
@SpringBootTest(
        classes = Ostendum.class,
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "ostendum.demo=true",
            "ostendum.live.beat=1s",
            "ostendum.plan.turn=1s",
            "ostendum.notices.every=1h",
            "ostendum.load-bank.every=1h",
            "ostendum.bridges.every=1h"
        })
@AutoConfigureMockMvc
@ContextConfiguration(initializers = DemoBeans.class)
@Import({OwnBatteries.class, QueryCount.class})
public abstract class ApplicationTest {
    /** Where mail goes out; somebody listens there only where a test says so. */
    protected static final int MAIL_PORT = FreePort.any();

    private static final Duration SEARCH = Duration.ofSeconds(3);
    private static final MariaDbServer DATABASE = DemoDatabase.copy();

    /** In the place of the application's own. */
    @TestBean(name = "clock")
    private Clock clock;

    static Clock clock() {
        return TestClock.shows();
    }

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", DATABASE::url);
        // On a busy machine a search gets less done in a second.
        properties.add("ostendum.plan.seconds", () -> Patience.of(SEARCH).toSeconds());
        properties.add("ostendum.mail.host", () -> "127.0.0.1");
        properties.add("ostendum.mail.port", () -> MAIL_PORT);
        properties.add("spring.datasource.username", () -> "ostendum");
        properties.add("spring.datasource.password", () -> "ostendum");
    }
}
