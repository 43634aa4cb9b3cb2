package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.By;
import org.ostendum.app.capacity.CapacityTest;
import org.ostendum.app.capacity.CapacityTests;
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

    @Autowired
    private CapacityTests tests;

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

    /** What was read in mid-test is there, and the next reading follows it. */
    @Test
    void theCapacityTestGoesOnWhereItWas() throws Exception {
        CapacityTest test =
                tests.open().stream().filter(t -> !t.byBank()).findFirst().orElseThrow();
        try (Browser browser = new Browser(application.port(), 1280, 800)) {
            browser.signIn("tom");
            browser.go("/capacity/" + test.id());
            int before = rows(browser);
            type(browser, "23.61", "155");
            application.kill();
            application.start();
            browser.go("/capacity/" + test.id());
            assertThat(rows(browser)).isEqualTo(before + 1);
            assertThat(browser.text("#course .meter")).contains("23.61 V");
            type(browser, "23.57", "158");
            assertThat(rows(browser)).isEqualTo(before + 2);
            assertThat(tests.open()).extracting(CapacityTest::id).contains(test.id());
        }
    }

    private static int rows(Browser browser) {
        return browser.driver()
                .findElements(By.cssSelector("details table tbody tr"))
                .size();
    }

    private static void type(Browser browser, String volts, String minutesUnderLoad) {
        browser.find("[name=volts]").sendKeys(volts);
        browser.find("[name=minutes]").sendKeys(minutesUnderLoad);
        browser.find("form[action$='/row'] button").click();
        browser.awaitText("#course .meter", volts);
    }
}
