package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.ostendum.app.support.Application;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.springframework.beans.factory.annotation.Value;

class ApplicationKilledTest extends ApplicationTest {
    private static final Duration CUT_OFF = Duration.ofSeconds(30);

    @Value("${spring.datasource.url}")
    private String databaseUrl;

    /** Killed in the middle of a round: what was shown as kept is there, what was typed meanwhile follows. */
    @Test
    void theRoundGoesOnWhereItWas() throws Exception {
        try (Application application = new Application(databaseUrl);
                Browser browser = new Browser(application.port(), 1280, 800)) {
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
            assertThat(browser.text("#drawing svg[data-next]")).isNotEmpty();
            assertThat(browser.find("#drawing svg[data-next]").getDomAttribute("data-next"))
                    .isEqualTo("5");
        }
    }
}
