package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.wiring.School;
import org.ostendum.core.wiring.Tap;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Changing a battery, a pack taken apart and put together, a cell renewed: walked through with a phone, tap by tap. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ChangeAndRebuildTest extends ApplicationTest {
    private static final int MOST_STEPS = 40;

    @LocalServerPort
    private int port;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Machines machines;

    @Autowired
    private Packs packs;

    @Autowired
    private BatteryStates batteryStates;

    private Browser browser;

    @BeforeAll
    void open() {
        browser = new Browser(port, 390, 844);
        browser.signIn("tom");
    }

    @AfterAll
    void close() {
        browser.close();
    }

    private static String tag() {
        return UUID.randomUUID().toString().substring(0, 4);
    }

    private String step() {
        return browser.text(".now-step h2");
    }

    /** Confirms step after step until one of these words stands; what wants a figure gets it. */
    private void walkTo(String words, String figure) {
        for (int i = 0; i < MOST_STEPS && !step().contains(words); i++) {
            String was = step();
            Optional<WebElement> field = browser.driver().findElements(By.cssSelector(".measure #value")).stream()
                    .findFirst();
            if (field.isPresent()) {
                field.get().clear();
                field.get().sendKeys(figure);
            }
            confirm();
            browser.wait(Duration.ofSeconds(15))
                    .withMessage(() -> was + " does not go on: " + browser.text(".now-step"))
                    .until(d -> isAfter(was));
        }
        assertThat(step()).contains(words);
    }

    /** While one step is put in the place of another there is none. */
    private boolean isAfter(String was) {
        String now = step();
        return !now.isEmpty() && !now.equals(was);
    }

    private void walkToAnswer(String answer) {
        for (int i = 0; i < MOST_STEPS && !browser.text(".answers").contains(answer); i++) {
            String was = step();
            confirm();
            browser.wait(Duration.ofSeconds(15)).until(d -> isAfter(was));
        }
    }

    private void confirm() {
        browser.await(".now-step .answers button, .now-step form button.action").click();
    }

    private void endJob() {
        browser.press("End the job and write it down");
        browser.awaitText(".now-step h2", "written down");
    }

    @ParameterizedTest
    @CsvSource({
        "'By a hoist, from above', 'Set the beam', 'Old one down, new one in'",
        "By a cart with two places, 'Draw the old one', 'Old one on the cart, new one in'"
    })
    void aBatteryIsChangedFromTheTrucksPage(String how, String then, String done) {
        Battery fresh = own.rested("BN" + tag(), "T-17");
        Battery old = own.rested("BO" + tag(), "T-17");
        String truck = "BF" + tag();
        int weight = fresh.type().weightKg();
        long machine = machines.add(new Machine(
                0, truck, "Test truck", MachineKind.FORKLIFT, weight - 20, weight + 20, 48, "", null, null));
        batteries.place(old.id(), null, machine);

        browser.go("/machines/" + truck);
        browser.await("a[href*='/batteries/" + fresh.code() + "/jobs/change-battery']")
                .click();
        browser.awaitText("#content", "Change the battery");
        lookAndBegin();
        if (step().contains("is the one to take first")) {
            browser.await("#value").sendKeys("the other one is blocked in");
            browser.press("Keep and go on");
        }
        walkTo("How is it changed", "62");
        browser.press(how);
        browser.awaitText(".now-step h2", then);
        walkToAnswer(done);
        browser.press(done);
        walkTo("Look at the new one", "62");
        walkTo("Compare its weight", "62");
        assertThat(batteries.byId(fresh.id()).orElseThrow().machineCode()).isEqualTo(truck);
        assertThat(batteries.byId(old.id()).orElseThrow().machineCode()).isNull();
        walkTo("All steps", "62");
        endJob();
        browser.go("/machines/" + truck);
        assertThat(browser.text("#content")).contains("What it has had", "Hour meter", "62");
    }

    /** Boxes for what nobody can know are ticked, then it is begun. */
    private void lookAndBegin() {
        browser.driver()
                .findElements(By.cssSelector("aside input[type=checkbox]"))
                .forEach(box -> {
                    if (!box.isSelected()) {
                        box.click();
                    }
                });
        browser.await("aside form button.action").click();
        browser.await(".now-step h2");
    }

    private Battery pack() {
        return own.full("BP" + tag(), "G-01");
    }

    @ParameterizedTest
    @EnumSource(School.class)
    void aPackComesApartByEachSchoolAndNothingCanBeBridgedInTheEnd(School school) {
        Battery car = pack();
        browser.go("/batteries/" + car.code() + "/pack?school=" + school);
        browser.press("Take it apart");
        lookAndBegin();
        walkTo("off:", "10");
        assertThat(browser.text(".reach")).contains("50.88");
        walkTo("Count", "10");
        assertThat(browser.text(".reach")).contains("cables off: 7").doesNotContain("50.88");
    }

    private void read(String block, String volts) {
        new org.openqa.selenium.support.ui.Select(browser.await("#block")).selectByValue(block);
        browser.find("#volts").clear();
        browser.find("#volts").sendKeys(volts + Keys.ENTER);
        browser.wait(Duration.ofSeconds(15))
                .ignoring(StaleElementReferenceException.class)
                .until(d -> browser.text(".now-step").contains(volts.replace("-", "")));
    }

    @Test
    void aBlockTurnedRoundIsNamedBeforeTheLastLinkGoesOn() {
        Battery car = pack();
        browser.go("/batteries/" + car.code() + "/pack?way=together&school=LEAST");
        browser.press("Put it together");
        lookAndBegin();
        walkTo("Read each block", "10");
        for (int block = 1; block <= 6; block++) {
            read(String.valueOf(block), block == 5 ? "-8.51" : "8.5" + block);
        }
        browser.awaitText(".now-step", "Block 5 reads -8.51 V: it is turned round");
        read("5", "8.51");
        read("0", "51.17");
        browser.press("All read");
        browser.awaitText(".now-step h2", "on:");
    }

    @Test
    void blocksUnderATapChangePlaces() {
        Battery car = pack();
        packs.addTap(car.id(), new Tap("Lights", 1, 2), TestClock.now().minus(Duration.ofDays(400)));
        browser.go("/batteries/" + car.code() + "/pack");
        browser.awaitText("#content", "Their turn is over");
        browser.press("Let blocks change places");
        lookAndBegin();
        walkTo("Block 1 goes to place 6", "10");
        walkTo("Read each block", "10");
        for (int block = 1; block <= 6; block++) {
            read(String.valueOf(block), "8.5" + block);
        }
        read("0", "51.21");
        browser.press("All read");
        browser.awaitText(".now-step h2", "Last link");
        walkTo("All steps", "10");
        endJob();
        assertThat(batteryStates.stateOf(car).cells().blocksMovedAt()).isPresent();
        assertThat(browser.driver().findElements(By.cssSelector(".fault")))
                .as("nothing is amiss")
                .noneMatch(WebElement::isDisplayed);
    }

    /** From the finding to the new cell's first reading. */
    @Test
    void aCellIsRenewedAndStartsAnew() {
        Battery tray = own.rested("BR" + tag(), "T-04");
        browser.go("/batteries/" + tray.code() + "/jobs/cell-repair");
        lookAndBegin();
        browser.await("#value").sendKeys("9" + Keys.ENTER);
        browser.await("[aria-label='The tray with cell 9 lit']");
        walkTo("Measure it again", "9");
        browser.await("#value").sendKeys("1.100" + Keys.ENTER);
        browser.awaitText(".now-step h2", "volts, post to post");
        walkTo("gas meter", "1.9");
        browser.await("#value").sendKeys("2" + Keys.ENTER);
        browser.awaitText(".now-step h2", "Prepare");
        walkTo("permit", "2");
        String job = Objects.requireNonNull(browser.driver().getCurrentUrl());
        assertThat(browser.text(".now-step")).contains("permit");
        sign(job);
        browser.awaitText(".now-step h2", "Drill or cut");
        walkTo("Serial number", "1");
        browser.await("#value").sendKeys("LK-99120, 3 weeks");
        browser.press("Keep and go on");
        browser.awaitText(".now-step h2", "Gravity of the new cell");
        browser.await("#value").sendKeys("1.280" + Keys.ENTER);
        browser.awaitText(".now-step h2", "Its volts");
        walkTo("All steps", "2.12");
        endJob();
        browser.go("/batteries/" + tray.code() + "/cells");
        assertThat(browser.text("#content")).contains("LK-99120", "Gone out");
        readFirst(tray);
        assertThat(List.copyOf(batteryStates.cellPasts(tray))).hasSize(19);
    }

    /** The first round that the new cell is in; it starts a course of its own. */
    private void readFirst(Battery tray) {
        browser.go("/batteries/" + tray.code() + "/round");
        browser.await("input[value=AFTER_EQUALISE]").click();
        browser.find("main form button.action").click();
        browser.await("#round");
        for (int cell = 1; cell <= 18; cell++) {
            browser.keys("280");
        }
        browser.awaitText("#slate", "18 of 18");
        browser.find("form.close button").click();
        browser.awaitText(".told", "on record");
        browser.go("/batteries/" + tray.code() + "/cells");
        assertThat(browser.text("#content")).contains("1.28");
    }

    /** The lead signs at his own desk. */
    private void sign(String job) {
        String path = job.replace(browser.home(), "");
        try (Browser lead = new Browser(port, 1280, 800)) {
            lead.signIn("maud");
            lead.go(path);
            lead.await(".now-step form button.action").click();
            lead.awaitText(".now-step h2", "Drill or cut");
        }
        browser.go(path);
    }
}
