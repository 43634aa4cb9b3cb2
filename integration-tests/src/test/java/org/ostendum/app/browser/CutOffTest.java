package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.WindowType;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.Cable;
import org.springframework.boot.test.web.server.LocalServerPort;

class CutOffTest extends ApplicationTest {
    private static final Duration PATIENCE = Duration.ofSeconds(45);

    @LocalServerPort
    private int port;

    /** What became of every try to hear something: when it began, how long it took, how it was answered. */
    private static Object asked(Browser browser) {
        return browser.js("return Math.round(performance.now()) + ': ' + performance.getEntriesByType('resource')"
                + ".filter((e) => e.startTime > performance.now() - 120000)"
                + ".map((e) => [new URL(e.name).pathname, Math.round(e.startTime), Math.round(e.duration),"
                + " e.responseStatus].join(' ')).join('; ')");
    }

    /**
     * The line dies without a word and the sign-in ends meanwhile: an open page says so, keeps what stands in it, and goes on
     * by itself after another sign-in.
     */
    @Test
    void anOpenPageSaysThatItIsCutOffAndGoesOnByItself() throws Exception {
        try (Cable cable = new Cable(port);
                Browser browser = new Browser(cable.port(), 1280, 800)) {
            browser.signIn("tom");
            browser.go("/charging");
            browser.await("#board");
            browser.find("#find").sendKeys("T-0");
            browser.await("#found a");

            cable.cut();
            browser.js("document.querySelector('#board').dataset.old = 'yes'");
            browser.await("#away:not([hidden])", PATIENCE);
            assertThat(browser.find("#away").getText()).contains("no alarm can reach you");
            assertThat(browser.find("#away a").isDisplayed()).isFalse();

            browser.driver().manage().deleteAllCookies();
            cable.mend();
            browser.wait(PATIENCE).withMessage(() -> "asked: " + asked(browser)).until(d -> browser.find("#away a")
                    .isDisplayed());
            assertThat(browser.find("#board").isDisplayed()).isTrue();
            assertThat(browser.find("#find").getDomProperty("value")).isEqualTo("T-0");

            String page = browser.driver().getWindowHandle();
            browser.driver().switchTo().newWindow(WindowType.TAB);
            browser.signIn("tom");
            assertThat(browser.driver().getCurrentUrl()).doesNotContain("live", "strip");
            browser.driver().switchTo().window(page);
            browser.await("#away[hidden]", PATIENCE);
            browser.await("#board:not([data-old])", PATIENCE);
            assertThat(browser.find("#find").getDomProperty("value")).isEqualTo("T-0");
        }
    }
}
