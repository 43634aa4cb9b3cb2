package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.people.People;
import org.ostendum.app.procedure.Rows;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.demo.DemoClock;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

class JobsInTheBrowserTest extends ApplicationTest {
    @LocalServerPort
    private int port;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Ledger ledger;

    @Autowired
    private DemoClock clock;

    @Autowired
    private Jobs jobs;

    @Autowired
    private People people;

    @Autowired
    private Rooms rooms;

    @Autowired
    private Stations stations;

    @Autowired
    private SiteProcedures procedures;

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
        fillUpTheKit();
    }

    private void at(String step) {
        browser.awaitText(".now-step h2", step);
    }

    /** A shut gate leads to the job that opens it, and opens. */
    @Test
    void waterAfterACharge() {
        browser.signIn("tom");
        browser.go("/batteries/T-21/jobs/water");
        browser.awaitText(".slate .verdict", "water would overflow");
        browser.press("Open it by: Put on charge");
        browser.press("Something is not right: step by step");
        at("Are case, cables");
        browser.press("Case, cables and plug whole");
        at("How warm is the electrolyte");
        browser.press("No more than hand-warm");
        at("Open the lid");
        browser.press("Caps on, lid or compartment open, nothing metal on top");
        at("Do voltage and connector");
        browser.press("Voltage and connector agree");
        at("Charger off, then plug in");
        browser.press("The charger is off");
        at("Does it start");
        browser.press("The charger starts");
        browser.press("End the job and write it down");
        browser.awaitText(".now-step h2", "written down");
        browser.go("/batteries/T-21/jobs/finish-charge");
        browser.press("Begin");
        browser.press("Voltage has not risen for two hours");
        browser.await("#value").sendKeys("402" + Keys.ENTER);
        browser.awaitText(".now-step h2", "Electrolyte temperature");
        browser.await("#value").sendKeys("29,5" + Keys.ENTER);
        at("Charger off, then unplug");
        browser.press("The charger is off");
        at("Leave caps and lid open");
        browser.press("Done");
        browser.press("End the job and write it down");
        browser.awaitText(".now-step h2", "written down");
        browser.go("/batteries/T-21/jobs/water");
        browser.awaitText(".slate .verdict", "Water the battery:");
        assertThat(browser.text("main .wear")).contains("face shield", "apron");
    }

    /** Pressed twice, or a key held down: the second press meets a step that nobody can have read. */
    @Test
    void aStepThatHasJustComeUpIsNotConfirmed() {
        browser.intoEveryPage("document.addEventListener('DOMContentLoaded', () =>"
                + " document.querySelector('.now-step form button')?.click())");
        browser.signIn("tom");
        browser.go("/batteries/" + own.rested("STEP-1", "T-13").code() + "/jobs/inspect-daily");
        browser.press("Begin");
        browser.await(".now-step button").click();
        at("Look at the case");
        browser.await(".answer");
        at("Look at the case");
    }

    /** From the spill to its closed report. */
    @Test
    void aSpillToItsClosedReport() {
        browser.signIn("oskar");
        browser.go("/room-jobs/spill");
        browser.press("Begin");
        browser.press("Nobody");
        at("How large is it");
        browser.press("Less than a bucket");
        at("Clear the area");
        browser.press("Done");
        at("Open the kit");
        browser.press("Done");
        at("Soda from the edge");
        assertThat(browser.text(".now-step")).contains("takes some 0.8 kg of soda, 5 litres some 4.2 kg");
        browser.press("Done");
        at("Battery into its bag");
        browser.find(".now-step details summary").click();
        browser.find("#skip-reason").sendKeys("nothing leaks");
        browser.press("Skip it");
        at("Neutralise the rest");
        browser.press("Done");
        at("Put up the sign");
        browser.press("Done");
        at("has looked at the place");
        browser.press("Sign as Oskar Lindqvarn");
        browser.press("End the job and write it down");
        browser.press("Write the incident report");
        browser.await("#what").sendKeys("three litres over the floor");
        browser.find("#cause").sendKeys("hose slipped off the gun");
        browser.find("#place").sendKeys("by the water cart");
        browser.find("#hurt").sendKeys("0");
        browser.find("#corrective").sendKeys("clamped");
        browser.find("#prevention").sendKeys("clamps on all hoses");
        browser.js(
                "document.getElementById('kit').value = arguments[0]",
                TestClock.today().minusDays(1).toString());
        browser.press("Keep the report");
        browser.awaitText(".told", "A lead reviews it next");
        String report = browser.driver().getCurrentUrl();
        try (Browser lead = new Browser(port, 1280, 800)) {
            lead.signIn("maud");
            lead.driver().get(report);
            lead.find("#review").sendKeys("agreed, order clamps");
            lead.driver()
                    .findElement(By.cssSelector("form[action$='/review'] button"))
                    .click();
            lead.awaitText("main", "Closed by Maud Ferrow");
            assertThat(lead.driver().findElements(By.cssSelector("#cause"))).isEmpty();
            // What was used of the kit keeps the caps on until it is filled up.
            lead.go("/batteries/T-16/round");
            lead.awaitText("main", "Spill kit: not in order");
            fillUpTheKit();
            lead.go("/batteries/T-16/round");
            assertThat(lead.text("main")).doesNotContain("not in order");
        }
    }

    private void fillUpTheKit() {
        long oskar = people.byLogin("oskar").orElseThrow().id();
        stations.of(rooms.names().get(0).id()).stream()
                .filter(station -> station.state().check() == StationCheck.SPILL_KIT)
                .forEach(kit -> stations.check(kit.id(), true, "filled up", oskar));
    }

    /** A lead goes through a gate; it shows until it is seen. */
    @Test
    void anOverrideIsSeenAndAcknowledged() {
        browser.signIn("maud");
        browser.go("/batteries/T-10/jobs/water");
        browser.find(".slate details summary").click();
        browser.find("#reason").sendKeys("maker’s man asked for it, he stands here");
        browser.press("Begin in spite of it");
        browser.awaitText("aside", "was overridden by Maud Ferrow");
        browser.go("/jobs");
        browser.awaitText("aside", "he stands here");
        // Every gate that was gone through is seen for itself.
        By seen = By.xpath("//aside//li[contains(., 'he stands here')]//button");
        browser.wait(Duration.ofSeconds(30))
                .ignoring(StaleElementReferenceException.class)
                .until(d -> {
                    d.findElements(seen).stream().findFirst().ifPresent(WebElement::click);
                    return d.findElements(seen).isEmpty();
                });
        assertThat(browser.text("aside")).doesNotContain("he stands here");
    }

    /** The first charge that is under way in the demo: rows, a slip, a stop and on. */
    @Test
    void aFirstChargeIsWrittenRowByRow() {
        long job = jobs.open().stream()
                .filter(j -> j.procedureId().equals("commission-dry"))
                .findFirst()
                .orElseThrow()
                .id();
        browser.signIn("priya");
        browser.go("/jobs/" + job);
        browser.awaitText(".now-step", "Ah are still to go in");
        browser.press("End the first charge");
        browser.awaitText(".fault", "Not yet");
        browser.find("#volts").sendKeys("14.9");
        browser.find("#amps").sendKeys("3.5");
        browser.find("#temperature").sendKeys("99");
        browser.find("#gravity").sendKeys("281");
        browser.press("Write the row");
        browser.awaitText(".field .fault", "-40 °C to 80 °C");
        assertThat(browser.find("#gravity").getDomAttribute("value")).isEqualTo("281");
        browser.find("#temperature").clear();
        browser.find("#temperature").sendKeys("34");
        browser.press("Write the row");
        browser.awaitText(".now-step table", "1.28");
        browser.press("It is above the temperature limit.");
        browser.awaitText(".now-step", "Let it cool");
        browser.find("#resume-reason").sendKeys("cooled to 36");
        browser.press("Go on with the job");
        browser.awaitText(".now-step", "Write the row");
        assertThat(jobs.byId(job).orElseThrow().isOpen()).isTrue();
    }

    /** A first charge whose hourly rows are on record but for the last: the core decides that it is over. */
    @Test
    void aFirstChargeComesToItsEnd() {
        long job = fifteenHoursIntoTheFirstChargeOf("A-4");
        browser.signIn("priya");
        browser.go("/jobs/" + job);
        browser.awaitText(".now-step", "It is done: steady voltage and gravity");
        browser.press("End the first charge");
        at("Switch off, then unplug");
        browser.press("The charger is off and unplugged");
        at("Level at its mark");
        browser.press("At the mark");
        browser.press("End the job and write it down");
        browser.awaitText(".now-step h2", "written down");
        long battery = batteries.byCode("A-4").orElseThrow().id();
        assertThat(ledger.ofBattery(battery, null, 2))
                .extracting(LedgerEntry::kind)
                .containsExactly(EntryKind.COMMISSIONED, EntryKind.CHARGE_END);
        assertThat(ledger.ofBattery(battery, null, 2))
                .extracting(LedgerEntry::payload)
                .anySatisfy(payload -> assertThat(payload).contains("\"rows\":[{\"volts\":"));
    }

    private long fifteenHoursIntoTheFirstChargeOf(String code) {
        long priya = people.byLogin("priya").orElseThrow().id();
        Instant start = TestClock.now().minus(Duration.ofHours(17));
        var file = procedures.file("commission-dry").orElseThrow();
        long battery = batteries.byCode(code).orElseThrow().id();
        long room = rooms.names().get(0).id();
        long job = at(start)
                .begin(new Jobs.NewJob("commission-dry", 1, file.json(), room, battery, null, priya))
                .orElseThrow();
        int seq = 0;
        for (String step : List.of("acid", "fill", "rest", "rock", "warm", "charger", "on")) {
            String value = step.equals("acid") ? "1280" : step.equals("warm") ? "24" : "";
            at(start).keep(job, ++seq, event(priya, RunEvent.Kind.DONE, step, value));
        }
        for (int hour = 1; hour <= 16; hour++) {
            String row = Rows.charge(
                    Math.min(15.6, 13 + hour * 0.3), 3.5, Celsius.of(25), Math.min(1286, 1200 + 8 * hour), hour == 2);
            at(start.plus(Duration.ofHours(hour))).keep(job, ++seq, event(priya, RunEvent.Kind.ROW, "rows", row));
        }
        clock.backToNow();
        return job;
    }

    private Jobs at(Instant moment) {
        clock.moveTo(moment);
        return jobs;
    }

    private static Jobs.NewEvent event(long person, RunEvent.Kind kind, String step, String value) {
        return new Jobs.NewEvent(UUID.randomUUID().toString(), person, kind, step, value);
    }

    @Test
    void theFirstAidCardOpensWithTheNetworkDown() {
        browser.signIn("vera");
        browser.go("/fleet");
        browser.await("#aid-card h1");
        browser.offline(true);
        browser.find("#acid").click();
        browser.awaitText("#aid[open] h1", "Water first");
        browser.offline(false);
    }
}
