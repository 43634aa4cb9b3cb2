package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.round.OpenRound;
import org.ostendum.app.round.OpenRounds;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.OwnBatteries;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

class RoundByKeysTest extends ApplicationTest {
    @LocalServerPort
    private int port;

    @Autowired
    private Batteries batteries;

    @Autowired
    private OpenRounds rounds;

    @Autowired
    private OwnBatteries own;

    private Browser browser;

    @BeforeEach
    void open() {
        browser = new Browser(port, 1280, 800);
    }

    @AfterEach
    void close() {
        browser.close();
    }

    private void begin(String code) {
        browser.go("/batteries/" + code + "/round");
        browser.find("main form button.action").click();
        browser.await("#round");
    }

    private int read(String code) {
        OpenRound open = rounds.of(batteries.byCode(code).orElseThrow().id()).orElseThrow();
        return open.sheet(100).cellsRead();
    }

    /** The whole path: sign in, find, read by keys alone, lose the network, resume, close, see the verdict, correct. */
    @Test
    void aRoundFromSignInToCorrection() {
        own.full("K-77", "T-21");
        browser.signIn("tom");
        browser.keys("/");
        browser.keys("k77");
        browser.awaitText("#found", "K-77");
        browser.keys(Keys.ENTER);
        browser.awaitText("h1", "K-77");

        browser.find("a.action").click();
        browser.await("input[value=AFTER_EQUALISE]").click();
        browser.find("main form button.action").click();
        browser.await("#round");
        browser.keys("k", "25", Keys.ENTER);
        browser.keys("285", "284", "286");
        browser.awaitText("#slate", "3 of 12");

        browser.offline(true);
        browser.keys("285", "283");
        browser.awaitText("#said", "Not sent yet: 2");
        assertThat(read("K-77")).isEqualTo(3);
        browser.offline(false);
        browser.awaitText("#slate", "5 of 12");
        assertThat(read("K-77")).isEqualTo(5);

        // Closing the tab and coming back goes on at the next cell.
        browser.go("/");
        browser.go("/batteries/K-77/round");
        browser.await("#round");
        assertThat(browser.find("[data-cell='6'] rect").getDomAttribute("class"))
                .contains("current");
        browser.keys("220");
        browser.awaitText("#slate", "leapt");
        browser.keys("r", "221");
        browser.awaitText("#slate", "6 of 12");
        browser.keys("284", "285", "286", "285", "284", "285");
        browser.awaitText("#slate", "12 of 12");
        browser.awaitText("#slate", "Hold the battery: cell 6 is failing");
        browser.find("form.close button").click();

        browser.awaitText(".told", "on record");
        assertThat(browser.text(".slate .verdict")).contains("cell 6 is failing");
        assertThat(browser.text(".sheet")).contains("12 cells, all cells, after an equalising charge");

        browser.find("svg a[href$='cell=6']").click();
        browser.await("input[name=value]").sendKeys("282");
        browser.find("input[name=reason]").sendKeys("read the neighbour twice" + Keys.ENTER);
        browser.awaitText(".told", "Cell 6 now counts as 1.282");
        assertThat(browser.text(".slate .verdict")).contains("Even and full");
        assertThat(browser.text(".sheet")).contains("1.282 instead of 1.221", "read the neighbour twice");

        browser.go("/rooms/" + OwnBatteries.ROOM);
        assertThat(browser.driver()
                        .findElement(By.cssSelector("a[href='/batteries/K-77']"))
                        .getDomAttribute("aria-label"))
                .contains("fit");
    }

    /** What was typed without a network outlives the tab: it waits on the device and goes when the page is opened again. */
    @Test
    void valuesTypedOfflineOutliveTheTab() {
        browser.signIn("tom");
        begin(own.full("KR-4", "A-4").code());
        browser.keys("284");
        browser.awaitText("#slate", "1 of 6");
        browser.offline(true);
        browser.keys("285");
        browser.awaitText("#said", "Not sent yet");
        browser.js("window.stop()");
        browser.driver().get("about:blank");
        browser.offline(false);
        browser.go("/batteries/KR-4/round");
        browser.awaitText("#slate", "2 of 6");
        assertThat(read("KR-4")).isEqualTo(2);
    }

    @Test
    void theDrawingTakesClicksPasteMarksAndUndo() {
        browser.signIn("ines");
        begin(own.full("KR-1", "G-11").code());
        browser.find("button[data-key='2']").click();
        browser.find("button[data-key='8']").click();
        browser.find("button[data-key='3']").click();
        browser.awaitText("[data-cell='1']", "1.283");
        browser.keys("o");
        browser.awaitText("[data-cell='2']", "over the mark");
        browser.js("const d = new DataTransfer(); d.setData('text', '1.281 1.279');"
                + "document.body.dispatchEvent(new ClipboardEvent('paste', {clipboardData: d, bubbles: true}))");
        browser.awaitText("[data-cell='3']", "1.279");
        browser.keys("t");
        browser.awaitText("[data-cell='4']", "too low");
        browser.keys("u");
        browser.awaitText("#slate", "3 of 18");
        coloursAndWhatIsTakenBack();
        browser.find("svg [data-cell='6'] rect").click();
        browser.keys("999");
        browser.awaitText("#said", "1.000 to 1.400");
        assertThat(read("KR-1")).isEqualTo(3);
    }

    /** Cell 4 is lit and unread, 3 was read; U takes back whatever came last. */
    private void coloursAndWhatIsTakenBack() {
        browser.keys("280");
        browser.awaitText("#slate", "4 of 18");
        browser.keys("c");
        browser.awaitText("#colours", "Sample of cell 4 is");
        browser.keys("3");
        browser.awaitText("[data-cell='4']", "milky");
        browser.keys("c", "4");
        browser.awaitText("[data-cell='4']", "dark bits");
        browser.keys("u");
        browser.awaitText("[data-cell='4']", "milky");
        browser.keys("u");
        browser.await("[data-cell='4']:not([data-colour])");
        browser.keys("283", "u");
        browser.awaitText("[data-cell='4']", "1.280");
        browser.keys("u");
        browser.awaitText("#slate", "3 of 18");
        browser.keys("k", "35", Keys.ENTER);
        browser.awaitText("[data-cell='1']", "1.290");
        browser.keys("u");
        browser.await("[data-cell='1']:not(:has(.corrected))");
        assertThat(browser.find("#temperature").getDomProperty("value")).isEmpty();
    }

    /** Two people on one battery see each other, and a clash is put to the second one. */
    @Test
    void twoPeopleSeeEachOther() {
        browser.signIn("tom");
        begin(own.full("KR-3", "P-5").code());
        try (Browser second = new Browser(port, 1280, 800)) {
            second.signIn("ines");
            second.go("/batteries/KR-3/round");
            second.await("#round");
            browser.keys("270");
            browser.awaitText("#slate", "1 of 12");
            second.keys("251");
            second.awaitText("#said", "Tom Brackett");
            second.find("#said button:last-of-type").click();
            second.awaitText("#slate", "Also entering: Tom Brackett");
            assertThat(second.text("[data-cell='1']")).contains("1.270");
            second.keys("271");
            browser.awaitText("#slate", "Also entering: Ines Halloway");
            assertThat(browser.text("[data-cell='2']")).contains("1.271");
        }
    }

    @Test
    void whoKeysFourDigitsIsNeverGuessedAt() {
        browser.signIn("priya");
        browser.go("/me");
        browser.js("document.getElementById('form').value = 'FOUR_DIGITS'");
        browser.find("form .action").click();
        browser.awaitText(".told", "Kept");
        begin(own.full("KR-2", "G-10").code());
        browser.keys("1165", "1285");
        browser.awaitText("[data-cell='2']", "1.285");
        assertThat(browser.text("[data-cell='1']")).contains("1.165");
    }
}
