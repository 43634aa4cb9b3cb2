package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.OwnBatteries;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** How many taps and keys the commonest things take from the room, by a technician, against what may be asked of a hand. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class TapsAndKeysTest extends ApplicationTest {
    @LocalServerPort
    private int port;

    @Autowired
    private OwnBatteries own;

    private Browser browser;
    private int taps;
    private int keys;

    @BeforeAll
    void open() {
        browser = new Browser(port, 1280, 800);
        browser.signIn("tom");
    }

    @AfterAll
    void close() {
        browser.close();
    }

    private void fromTheRoom() {
        browser.go("/");
        taps = 0;
        keys = 0;
    }

    private void tap(String css) {
        browser.await(css).click();
        taps++;
    }

    private void type(CharSequence... typed) {
        browser.keys(typed);
        for (CharSequence part : typed) {
            keys += part instanceof Keys ? 1 : part.length();
        }
    }

    private void find(String code) {
        type("/", code);
        browser.await("#found a");
        type(Keys.ENTER);
    }

    private void atMost(String what, int mostTaps, int mostKeys) {
        System.out.printf("%-34s %2d taps (at most %d), %2d keys (at most %d)%n", what, taps, mostTaps, keys, mostKeys);
        assertThat(taps).as(what + ", taps").isLessThanOrEqualTo(mostTaps);
        assertThat(keys).as(what + ", keys").isLessThanOrEqualTo(mostKeys);
    }

    @Test
    void findABattery() {
        fromTheRoom();
        find("t8");
        browser.awaitText("h1", "T-08");
        atMost("find a battery", 0, 4);
    }

    @Test
    void firstAid() {
        fromTheRoom();
        tap("#acid");
        browser.awaitText("#aid-card h1", "");
        atMost("first aid", 1, 0);
    }

    /** From the room to the last cell's figure. */
    @Test
    void aRoundOfEighteenCells() {
        own.full("K-78", "T-21");
        fromTheRoom();
        find("k78");
        browser.awaitText("h1", "K-78");
        browser.await("a[href='/batteries/K-78/round']");
        tap(".slate a[href='/batteries/K-78/round']");
        tap("main form button.action");
        browser.await("#round");
        int cells = Integer.parseInt(browser.find("#round").getAttribute("data-cells"));
        for (int cell = 1; cell <= cells; cell++) {
            type("283");
        }
        browser.await("button.action");
        atMost("round of " + cells + " cells", 3, 5 + 3 * cells);
    }

    @Test
    void theNextThingIsBegunByOneKey() {
        fromTheRoom();
        type("n");
        browser.awaitText(".slate", "");
        assertThat(browser.driver().getCurrentUrl()).contains("/batteries/").containsAnyOf("/jobs/", "/round");
        atMost("begin what is most urgent", 0, 1);
    }

    @Test
    void onCharge() {
        fromTheRoom();
        find("t19");
        browser.awaitText("h1", "T-19");
        tap(".slate a[href='/batteries/T-19/jobs']");
        tap("a[href='/batteries/T-19/jobs/charge']");
        browser.await(".slate .verdict");
        atMost("to the charger’s choice", 2, 5);
    }

    @Test
    void theWateringWalkOfTen() {
        fromTheRoom();
        type("gw");
        browser.await("#walk");
        atMost("to the watering walk", 0, 2);
    }

    @Test
    void changeOfShift() {
        fromTheRoom();
        type("gl");
        tap(".slate a[href='/day']");
        browser.await("#print");
        atMost("day sheet, to be printed", 1, 2);
    }

    @Test
    void theLastEqualising() {
        fromTheRoom();
        find("t19");
        browser.awaitText("h1", "T-19");
        browser.awaitText(".slate .foot", "");
        atMost("look up the last equalising", 0, 5);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/", "/mine", "/fleet", "/charging", "/watering", "/jobs", "/ledger", "/day", "/safety", "/rules"
            })
    void aPhoneNeedsNoSidewaysScroll(String page) {
        browser.driver()
                .executeCdpCommand(
                        "Emulation.setDeviceMetricsOverride",
                        Map.of("width", 360, "height", 780, "deviceScaleFactor", 1, "mobile", true));
        browser.go(page);
        Number width = (Number) browser.js("return document.documentElement.scrollWidth");
        assertThat(width.intValue()).as(page).isLessThanOrEqualTo(360);
        List<String> small =
                browser.driver().findElements(By.cssSelector(".slate a.action, .slate button.action")).stream()
                        .filter(e -> e.isDisplayed() && e.getSize().getHeight() < 44)
                        .map(e -> e.getText())
                        .toList();
        assertThat(small).isEmpty();
        browser.driver().executeCdpCommand("Emulation.clearDeviceMetricsOverride", Map.of());
    }
}
