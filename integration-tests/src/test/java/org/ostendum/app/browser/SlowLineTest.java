package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.interactions.Actions;
import org.ostendum.app.live.LiveEvents;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Somebody types faster than answers come: what is shown at last belongs to what was typed at last. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class SlowLineTest extends ApplicationTest {
    private static final Duration BETWEEN_KEYS = Duration.ofMillis(200);

    @LocalServerPort
    private int port;

    @Autowired
    private LiveEvents live;

    private Browser browser;

    @BeforeAll
    void open() {
        browser = new Browser(port, 1280, 800);
        browser.signIn("tom");
    }

    @AfterAll
    void close() {
        browser.close();
    }

    /** Each key is looked for by itself: the page waits a moment after one before it asks. */
    private void slowly(WebElement field, String typed) {
        Actions hand = new Actions(browser.driver()).click(field);
        for (String key : typed.split("")) {
            hand.sendKeys(key).pause(BETWEEN_KEYS);
        }
        hand.perform();
    }

    @Test
    void aSumIsOfTheFiguresThatStandThere() {
        browser.go("/sums/freezing");
        browser.latency(2000);
        WebElement field = browser.find("#work input:not([type=hidden])");
        field.clear();
        slowly(field, "1.265");
        browser.wait(Duration.ofSeconds(10)).until(d -> "1.265"
                .equals(browser.js(
                        "return document.querySelector(\"#keep-values input[name='\" + arguments[0] + \"']\").value",
                        String.valueOf(field.getDomAttribute("name")))));
        browser.latency(0);
    }

    @Test
    void theFleetIsSievedByWhatStandsInTheField() {
        browser.go("/fleet");
        browser.latency(2000);
        slowly(browser.find("#find-line"), "t-19");
        browser.wait(Duration.ofSeconds(10))
                .until(d -> browser.text("#lines tbody tr:only-child b").equals("T-19"));
        browser.latency(0);
    }

    @Test
    void enterOpensWhatWasTypedNotWhatWasFoundBefore() {
        browser.go("/");
        browser.find("#find").sendKeys("t");
        browser.await("#found a");
        browser.latency(2000);
        browser.find("#find").sendKeys("19", Keys.ENTER);
        browser.awaitText("h1", "T-19");
        browser.latency(0);
    }

    /** The stream of a page beats on though its sign-in has ended: what it tells of is refused, so no alarm would be seen. */
    @Test
    void aPageWhoseSignInHasEndedSaysSoThoughItHearsTheBeat() {
        try (Browser other = new Browser(port, 1280, 800)) {
            other.signIn("ines");
            other.go("/charging");
            other.await("#board");
            other.driver().manage().deleteAllCookies();
            live.changed();
            other.await("#away a:not([hidden])", Duration.ofSeconds(45));
            assertThat(other.find("#board").isDisplayed()).isTrue();

            String page = other.driver().getWindowHandle();
            other.driver().switchTo().newWindow(WindowType.TAB);
            other.signIn("ines");
            other.driver().switchTo().window(page);
            other.await("#away[hidden]", Duration.ofSeconds(45));
        }
    }

    /** The line is lost before the page has heard anything, and the sign-in ends meanwhile. */
    @Test
    void aPageThatNeverHeardAnythingAsksToSignInAnew() {
        try (Browser other = new Browser(port, 1280, 800)) {
            other.signIn("ines");
            other.block(other.home() + "/live");
            other.go("/charging");
            other.await("#away:not([hidden])", Duration.ofSeconds(45));
            other.driver().manage().deleteAllCookies();
            other.block();
            other.await("#away a:not([hidden])", Duration.ofSeconds(45));
            assertThat(other.text("#live")).isBlank();

            String page = other.driver().getWindowHandle();
            other.driver().switchTo().newWindow(WindowType.TAB);
            other.signIn("ines");
            other.driver().switchTo().window(page);
            other.await("#away[hidden]", Duration.ofSeconds(45));
        }
    }
}
