package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Pages that follow what is typed, without a button. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class LiveValuesTest extends ApplicationTest {
    @LocalServerPort
    private int port;

    private Browser browser;

    @BeforeAll
    void open() {
        browser = new Browser(port, 1280, 800);
        browser.signIn("maud");
    }

    @AfterAll
    void close() {
        browser.close();
    }

    private void type(String field, String value) {
        WebElement input = browser.find(field);
        input.sendKeys(Keys.chord(Keys.CONTROL, "a"), value);
    }

    @Test
    void aSumsPictureAndResultMoveWhileItIsTypedAndTheAddressHoldsIt() {
        browser.go("/sums/freezing");
        double before = spot();
        type("#gravity", "1.25");
        browser.awaitText("#comes-to", "-52.");
        assertThat(spot()).isGreaterThan(before);
        assertThat(browser.driver().getCurrentUrl()).contains("gravity=1.25");
        type("#gravity", "heavy");
        browser.awaitText("#faults", "“heavy”");
        assertThat(browser.find("#gravity").getDomProperty("value")).isEqualTo("heavy");
    }

    private double spot() {
        return Double.parseDouble(String.valueOf(browser.find("circle.spot").getDomAttribute("cx")));
    }

    @Test
    void besideAListStandsWhatHelpsWithTheLineInFocus() {
        browser.go("/fleet");
        assertThat(browser.text("#beside")).contains("Point at a line");
        browser.js("document.querySelector('tr[data-beside*=\"/T-22/\"] a').focus()");
        browser.awaitText("#beside", "Cover the plates of T-22");
        assertThat(browser.find("#beside a.action").getDomAttribute("href"))
                .isEqualTo("/batteries/T-22/jobs/cover-plates");
        browser.go("/jobs");
        browser.js("document.querySelector('tr[data-beside] a').focus()");
        browser.awaitText("#beside", "Go on with it");
        assertThat(browser.text("#beside")).contains("has it, since");
    }

    @Test
    void theFleetNarrowsWhileItIsAskedAndTheAddressBringsItBack() {
        browser.go("/fleet");
        new Select(browser.find("#duty")).selectByValue("AIRCRAFT");
        browser.awaitText("#lines [role=status]", "batteries.");
        type("#find-line", "A-3");
        browser.awaitText("#lines [role=status]", "1 of");
        assertThat(browser.driver().getCurrentUrl())
                .contains("duty=AIRCRAFT", "find=A-3")
                .doesNotContain("job=");
        browser.driver().navigate().refresh();
        browser.awaitText("#lines tbody", "A-3");
        assertThat(browser.find("#find-line").getDomProperty("value")).isEqualTo("A-3");
    }
}
