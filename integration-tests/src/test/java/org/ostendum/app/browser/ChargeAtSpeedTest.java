package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.ExpectedConditions;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.EquipmentSite;
import org.ostendum.app.support.MariaDbServer;
import org.ostendum.app.support.StandInProcess;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Import;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** A day of charging in two minutes, at real chargers that are not there, through the real screens. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"ostendum.clock.speed=600", "ostendum.devices.hands=true"})
@Import(EquipmentSite.class)
@DirtiesContext
class ChargeAtSpeedTest {
    private static final int SPEED = 600;
    private static final MariaDbServer DATABASE = new MariaDbServer(false);
    private static final StandInProcess STAND_INS = new StandInProcess(SPEED, EquipmentSite.BANK);
    private static final Duration PATIENCE = Duration.ofSeconds(120);

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", DATABASE::url);
        properties.add("spring.datasource.username", () -> "ostendum");
        properties.add("spring.datasource.password", () -> "ostendum");
    }

    @LocalServerPort
    private int port;

    @Autowired
    private EquipmentSite house;

    private Browser browser;

    @BeforeEach
    void open() {
        house.fill(STAND_INS.port());
        browser = new Browser(port, 1280, 800);
        browser.signIn("tom");
    }

    @AfterEach
    void close() {
        browser.close();
    }

    private WebDriverWait patiently(String what) {
        WebDriverWait wait = new WebDriverWait(browser.driver(), PATIENCE);
        // While a page gives way to the next one, the driver fails in more ways than one.
        wait.ignoring(WebDriverException.class).withMessage(() -> what + "\n" + browser.text("body"));
        return wait;
    }

    private void awaitText(String css, String text) {
        patiently("“" + text + "” in " + css).until(d -> d.findElements(By.cssSelector(css)).stream()
                .anyMatch(e -> e.getText().toLowerCase().contains(text.toLowerCase())));
    }

    private void press(String text) {
        patiently("No button “" + text + "”")
                .until(d -> d.findElements(By.cssSelector("main button, aside button")).stream()
                        .filter(b -> b.isDisplayed() && b.getText().strip().equalsIgnoreCase(text))
                        .findFirst()
                        .orElse(null))
                .click();
    }

    private void putOnCharge(String battery) {
        browser.go("/batteries/" + battery + "/jobs/charge");
        press("Begin");
        for (String answer : new String[] {
            "Covered, not topped up",
            "Whole",
            "Caps on, lid or compartment open, nothing metal on top",
            "The charger is off",
            "It starts",
            "End the job and write it down"
        }) {
            press(answer);
        }
        awaitText(".now-step h2", "written down");
    }

    @Test
    void fromTheStartOfAChargeToTheReadyRack() {
        putOnCharge("T-1");

        browser.go("/batteries/T-1/charge");
        awaitText("#course .meter", "Bulk");
        String early = browser.text("#course .meter");
        patiently("the page moves by itself")
                .until(d -> !browser.text("#course .meter").equals(early));
        assertThat(browser.text("#evidence h2")).isEqualTo("Not full yet.");
        browser.go("/charging");
        awaitText("#board table", "hydrogen an hour");
        assertThat(browser.text(".fast")).contains("600 times as fast");
        browser.go("/batteries/T-1/charge");

        awaitText("#evidence h2", "Full, by wha");
        assertThat(browser.driver().findElements(By.cssSelector("#evidence .mark-FIT")))
                .hasSizeGreaterThanOrEqualTo(2);
        // The way to end it is another form than the one for “not full”.
        browser.go("/batteries/T-1/charge");
        press("End the charge: full");

        awaitText("[role=status]", "has ended");
        awaitText(".racks section:first-child", "T-1");

        browser.go("/watering");
        browser.await("#ml-T-1").sendKeys("900" + Keys.ENTER);
        awaitText("[role=status]", "One battery watered");

        patiently("ready").until(d -> {
            browser.go("/charging");
            return browser.text(".racks section:nth-child(2)").contains("T-1");
        });
        browser.go("/chargers/C1");
        assertThat(browser.text("aside .verdict")).contains("One charge").doesNotContain("0 kWh");
    }

    @Test
    void anAlarmIsOnEveryPageUntilSomebodyHasSeenToIt() {
        putOnCharge("T-3");
        browser.go("/rules");
        awaitText("#alarms", "T-3 is plugged in and no current flows");

        about("#alarms a", "T-3").orElseThrow().click();
        awaitText(".alarm-card", "Not started");
        WebElement card = about(".alarm-card", "T-3").orElseThrow();
        card.findElement(By.name("done")).sendKeys("Fuse was out.");
        card.findElement(By.tagName("button")).click();
        awaitText("[role=status]", "Acknowledged");
        assertThat(about("#alarms a", "T-3")).isEmpty();
        assertThat(about(".alarm-card", "T-3").orElseThrow().getText()).contains("Tom Brackett", "Fuse was out.");
    }

    /** The house is shared by the tests, so that others' alarms may ring beside it. */
    private Optional<WebElement> about(String css, String what) {
        return browser.driver().findElements(By.cssSelector(css)).stream()
                .filter(e -> e.getText().contains(what))
                .findFirst();
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
    void equalisingIsFollowedByTheLowestCellAndItsGasRings() throws InterruptedException {
        browser.go("/batteries/T-6/jobs/equalise");
        press("Begin");
        press("Covered, not topped up");
        press("Caps on, lid open, fan on, no flame and no spark near");
        press("Done");
        STAND_INS.say("fan off");
        awaitText("#alarms", "the fan stands still");
        for (String gravity : new String[] {"276", "281", "281", "281", "281"}) {
            readLowest(gravity);
        }
        awaitText(".now-step .told", "it is done");
        awaitText("#alarms", "All chargers off at the switch");
        String job = browser.driver().getCurrentUrl();

        browser.go("/chargers/C6");
        assertThat(browser.text("main")).contains("T-6", "Equalising");
        STAND_INS.say("fan on");
        patiently("the air is clean again").until(d -> {
            browser.go("/alarms");
            return d.findElements(By.cssSelector(".alarm-card")).stream()
                    .map(WebElement::getText)
                    .noneMatch(t -> t.contains("Charging room") && t.contains("Since"));
        });
        browser.go("/alarms");
        for (List<WebElement> unseen = unseen(); !unseen.isEmpty(); unseen = unseen()) {
            unseen.get(0).click();
            patiently("the page after").until(ExpectedConditions.stalenessOf(unseen.get(0)));
            browser.go("/alarms");
        }

        browser.driver().get(job);
        press("End the readings");
        double hours = Double.parseDouble(String.valueOf(browser.find("#value").getDomProperty("value")));
        assertThat(hours).isBetween(5.0, 40.0);
        press("Keep and go on");
        press("The charger is off");
        press("Done");
        press("Done");
        press("End the job and write it down");
        awaitText(".now-step h2", "written down");
        browser.go("/batteries/T-6");
        assertThat(browser.text("main"))
                .contains("Equalising charge ended", "Equalise the battery")
                .containsPattern("\\d h\\b");
    }

    private List<WebElement> unseen() {
        return browser.driver().findElements(By.cssSelector(".alarm-card form button"));
    }

    private void readLowest(String gravity) throws InterruptedException {
        browser.find("#gravity").sendKeys(gravity);
        browser.find("#temperature").sendKeys("30" + Keys.ENTER);
        TimeUnit.SECONDS.sleep(3600 / SPEED);
    }
}
