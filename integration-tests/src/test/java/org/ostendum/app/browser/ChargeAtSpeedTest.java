package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.ExpectedConditions;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.charge.Charges;
import org.ostendum.app.device.FakeEquipment;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.EquipmentSite;
import org.ostendum.app.support.FakeLineTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A day of charging in the test's own time, at real chargers that are not there, through the real screens. */
@FakeLineTest
class ChargeAtSpeedTest {
    private static final Duration PATIENCE = Duration.ofSeconds(30);
    private static final Duration A_NIGHT = Duration.ofHours(10);

    @LocalServerPort
    private int port;

    @Autowired
    private EquipmentSite site;

    @Autowired
    private FakeEquipment equipment;

    @Autowired
    private Batteries batteries;

    @Autowired
    private ChargeRuns runs;

    @Autowired
    private Charges charges;

    private Browser browser;

    @BeforeEach
    void open() {
        site.fill(1);
        equipment.pass(FakeEquipment.STEP);
        browser = new Browser(port, 1280, 800);
        browser.signIn("tom");
    }

    @AfterEach
    void close() {
        browser.close();
        equipment.switchFan(true);
        batteries.all().forEach(charges::end);
        equipment.pass(Duration.ofHours(1));
    }

    private WebDriverWait patiently(String what) {
        WebDriverWait wait = browser.wait(PATIENCE);
        // While a page gives way to the next one, the driver fails in more ways than one.
        wait.ignoring(WebDriverException.class).withMessage(() -> what + "\n" + browser.text("body"));
        return wait;
    }

    private void awaitText(String css, String text) {
        patiently("“" + text + "” in " + css).until(d -> d.findElements(By.cssSelector(css)).stream()
                .anyMatch(e -> e.getText().toLowerCase().contains(text.toLowerCase())));
    }

    private void putOnCharge(String battery) {
        browser.go("/batteries/" + battery + "/jobs/charge");
        browser.press("Something is not right: step by step");
        for (String answer : new String[] {
            "Plates covered, not topped up",
            "Case, cables and plug whole",
            "Caps on, lid or compartment open, nothing metal on top",
            "The charger is off",
            "The charger starts",
            "End the job and write it down"
        }) {
            browser.press(answer);
        }
        awaitText(".now-step h2", "written down");
    }

    @Test
    void fromTheStartOfAChargeToTheReadyRack() {
        putOnCharge("T-1");

        equipment.pass(Duration.ofMinutes(5));
        browser.go("/batteries/T-1/charge");
        awaitText("#course .meter", "Bulk");
        String early = browser.text("#course .meter");
        equipment.pass(Duration.ofMinutes(40));
        patiently("the page moves by itself")
                .until(d -> !browser.text("#course .meter").equals(early));
        assertThat(browser.text("#evidence h2")).isEqualTo("Not full yet.");
        equipment.pass(Duration.ofHours(2));
        browser.go("/charging");
        awaitText("#board table", "hydrogen an hour");
        assertThat(browser.text(".fast")).contains("60 times as fast");
        browser.go("/batteries/T-1/charge");

        assertThat(equipment.passUntil(A_NIGHT, () -> isLampLit("T-1"))).isTrue();
        equipment.pass(Duration.ofMinutes(30));
        awaitText("#evidence h2", "Full, by wha");
        assertThat(browser.driver().findElements(By.cssSelector("#evidence .mark-FIT")))
                .hasSizeGreaterThanOrEqualTo(2);
        // The way to end it is another form than the one for “not full”.
        browser.go("/batteries/T-1/charge");
        browser.press("End the charge: full");

        awaitText("[role=status]", "has ended");
        awaitText(".racks section:first-child", "T-1");

        browser.go("/watering");
        browser.await("#ml-T-1").sendKeys("900" + Keys.ENTER);
        awaitText("[role=status]", "One battery watered");

        equipment.pass(A_NIGHT);
        browser.go("/charging");
        assertThat(browser.text(".racks section:nth-child(2)")).contains("T-1");
        browser.go("/chargers/C1");
        assertThat(browser.text("aside .verdict")).contains("One charge").doesNotContain("0 kWh");
    }

    @Test
    void anAlarmIsOnEveryPageUntilSomebodyHasSeenToIt() {
        putOnCharge("T-3");
        equipment.pass(Duration.ofMinutes(20));
        browser.go("/rules");
        awaitText("#alarms", "T-3 is plugged in and no current flows");

        browser.wait(Duration.ofSeconds(15))
                .ignoring(StaleElementReferenceException.class)
                .until(d -> about("#alarms a", "T-3")
                        .map(ChargeAtSpeedTest::clicked)
                        .isPresent());
        awaitText(".alarm-card", "Not started");
        WebElement card = about(".alarm-card", "T-3").orElseThrow();
        card.findElement(By.name("done")).sendKeys("Fuse was out.");
        card.findElement(By.tagName("button")).click();
        awaitText("[role=status]", "Acknowledged");
        assertThat(about("#alarms a", "T-3")).isEmpty();
        assertThat(about(".alarm-card", "T-3").orElseThrow().getText()).contains("Tom Brackett", "Fuse was out.");
    }

    /** The site is shared by the tests, so that others' alarms may ring beside it. */
    private Optional<WebElement> about(String css, String what) {
        return browser.driver().findElements(By.cssSelector(css)).stream()
                .filter(e -> says(e, what))
                .findFirst();
    }

    private static WebElement clicked(WebElement element) {
        element.click();
        return element;
    }

    /** A live page may have put another in its place meanwhile. */
    private static boolean says(WebElement element, String what) {
        try {
            return element.getText().contains(what);
        } catch (StaleElementReferenceException gone) {
            return false;
        }
    }

    @Test
    void aChargerThatDoesNotFitIsRefusedInWordsAndRemembersIt() {
        browser.go("/batteries/T-4/jobs/charge");
        awaitText("aside .verdict", "never together");
        assertThat(browser.driver().findElements(By.cssSelector("aside form .action")))
                .isEmpty();

        new Select(browser.find("#charger")).selectByValue("C6");
        awaitText("aside .verdict", "look as you go");
        new Select(browser.find("#charger")).selectByValue("C4");
        awaitText("aside .verdict", "never together");

        browser.go("/chargers/C4");
        assertThat(browser.text("main")).contains("Match refused", "T-4", "Tom Brackett");
    }

    /** A full battery with a low current through it in a room whose fan stands still: 1 % within the hour, 2 % within three. */
    @Test
    void equalisingIsFollowedByTheLowestCellAndItsGasRings() {
        browser.go("/batteries/T-6/jobs/equalise");
        browser.press("Begin");
        browser.press("Covered, not topped up");
        browser.press("Caps on, lid open, fan on, no flame and no spark near");
        browser.press("Done");
        awaitText(".now-step h2", "Draw the lowest cell");
        equipment.switchFan(false);
        equipment.pass(Duration.ofMinutes(3));
        awaitText("#alarms", "the fan stands still");
        for (String gravity : new String[] {"276", "281", "281", "281", "281"}) {
            readLowest(gravity);
        }
        awaitText(".now-step .told", "it is done");
        equipment.pass(Duration.ofHours(2));
        awaitText("#alarms", "All chargers off at the switch");
        String job = browser.driver().getCurrentUrl();

        browser.go("/chargers/C6");
        assertThat(browser.text("main")).contains("T-6", "Equalising");
        equipment.switchFan(true);
        equipment.pass(Duration.ofMinutes(30));
        browser.go("/alarms");
        assertThat(browser.driver().findElements(By.cssSelector(".alarm-card")))
                .extracting(WebElement::getText)
                .as("the air is clean again")
                .isNotEmpty()
                .noneMatch(t -> t.contains("Charging room") && t.contains("Since"));
        for (List<WebElement> unseen = unseen(); !unseen.isEmpty(); unseen = unseen()) {
            unseen.get(0).click();
            patiently("the page after").until(ExpectedConditions.stalenessOf(unseen.get(0)));
            browser.go("/alarms");
        }

        browser.driver().get(job);
        browser.press("End the readings");
        patiently("the hours")
                .until(d -> !d.findElements(By.cssSelector("#value")).isEmpty());
        double hours = Double.parseDouble(String.valueOf(browser.find("#value").getDomProperty("value")));
        assertThat(hours).isBetween(5.0, 40.0);
        browser.press("Keep and go on");
        browser.press("The charger is off");
        browser.press("Done");
        browser.press("Done");
        browser.press("End the job and write it down");
        awaitText(".now-step h2", "written down");
        browser.go("/batteries/T-6");
        assertThat(browser.text("main"))
                .contains("Equalising charge ended", "Equalise the battery")
                .containsPattern("\\d h\\b");
    }

    private List<WebElement> unseen() {
        return browser.driver().findElements(By.cssSelector(".alarm-card form button"));
    }

    private boolean isLampLit(String code) {
        long battery = batteries.byCode(code).orElseThrow().id();
        return runs.openOf(battery).orElseThrow().meter().lampAt() != null;
    }

    private void readLowest(String gravity) {
        browser.await("#gravity").sendKeys(gravity);
        browser.find("#temperature").sendKeys("30" + Keys.ENTER);
        patiently("the row is there")
                .until(d -> browser.find("#gravity").getDomProperty("value").isEmpty());
        equipment.pass(Duration.ofHours(1));
    }
}
