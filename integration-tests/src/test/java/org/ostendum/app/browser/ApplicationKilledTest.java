package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.support.Application;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.ostendum.core.event.EntryKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;

/** The application as a process of its own, killed in the middle of somebody's work. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ApplicationKilledTest extends ApplicationTest {
    private static final Duration CUT_OFF = Duration.ofSeconds(60);

    @Value("${spring.datasource.url}")
    private String databaseUrl;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Ledger ledger;

    private Application application;

    @BeforeAll
    void start() throws Exception {
        application = new Application(databaseUrl);
    }

    @AfterAll
    void end() {
        application.close();
    }

    /** What was shown as kept is there, what was typed meanwhile follows. */
    @Test
    void theRoundGoesOnWhereItWas() throws Exception {
        try (Browser browser = new Browser(application.port(), 1280, 800)) {
            browser.signIn("tom");
            browser.go("/batteries/T-02/round");
            browser.find("main form button.action").click();
            browser.await("#round");
            browser.keys("281", "282", "283");
            browser.awaitText("#slate", "3 of 18");

            application.kill();
            browser.keys("284");
            browser.awaitText("#said", "Not sent yet: 1");
            browser.await("#away:not([hidden])", CUT_OFF);

            application.start();
            browser.awaitText("#slate", "4 of 18");
            browser.await("#away[hidden]", CUT_OFF);
            browser.go("/batteries/T-02/round");
            browser.await("#round");
            assertThat(browser.text("[data-cell='3']")).contains("1.283");
            assertThat(browser.text("[data-cell='4']")).contains("1.284");
            assertThat(browser.find("#drawing svg[data-next]").getDomAttribute("data-next"))
                    .isEqualTo("5");
        }
    }

    /** Every confirmed step is there, and the clock has run on. */
    @Test
    void theJobGoesOnWhereItWas() throws Exception {
        try (Browser browser = new Browser(application.port(), 390, 844)) {
            browser.signIn("ines");
            browser.go("/batteries/T-08/jobs/inspect-daily");
            browser.find("button.action").click();
            browser.await(".now-step button").click();
            browser.awaitText(".now-step h2", "Look at the case");
            browser.find(".answer").click();
            browser.awaitText(".now-step h2", "Look at every post");
            String address = browser.driver().getCurrentUrl();
            application.kill();
            application.start();
            browser.driver().get(address);
            browser.awaitText(".now-step h2", "Look at every post");
            assertThat(browser.text(".way")).contains("Sound and dry", "key off, brake set");
            for (int i = 0; i < 5; i++) {
                String was = browser.text(".now-step h2");
                browser.find(".answer").click();
                browser.wait(Duration.ofSeconds(15))
                        .until(d -> !browser.text(".now-step h2").equals(was));
            }
            browser.find(".now-step button").click();
            browser.awaitText(".now-step h2", "written down");
            long id = batteries.byCode("T-08").orElseThrow().id();
            assertThat(ledger.ofBattery(id, null, 1).get(0).kind()).isEqualTo(EntryKind.JOB);
        }
    }
}
