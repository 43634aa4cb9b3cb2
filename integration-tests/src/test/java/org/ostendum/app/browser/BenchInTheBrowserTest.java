package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.By;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.OwnBatteries;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** At the bench and in the shed: a row laid up, groups on a pack, a refused release and its signature, a life printed. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BenchInTheBrowserTest extends ApplicationTest {
    private static final Duration SOON = Duration.ofSeconds(20);

    @LocalServerPort
    private int port;

    @Autowired
    private OwnBatteries own;

    private Browser tom;
    private Browser priya;

    @BeforeAll
    void open() {
        tom = new Browser(port, 390, 844);
        tom.signIn("tom");
        priya = new Browser(port, 1280, 800);
        priya.signIn("priya");
    }

    @AfterAll
    void close() {
        tom.close();
        priya.close();
    }

    @Test
    void aRowIsLaidUpOnThePhone() {
        tom.go("/storage");
        assertThat(tom.text("#G-16")).contains("Its charge was due by", "it does not maintain");
        tom.driver().findElement(By.id("codes")).sendKeys("G-01 G-04");
        tom.driver()
                .findElement(By.cssSelector("form[action='/storage/lay-up'] button"))
                .click();
        tom.wait(SOON).until(d -> tom.text("#content").contains("2 jobs begun"));
        assertThat(tom.text("#content")).contains("G-01", "G-04");
    }

    @Test
    void theGroupsOfASixByEightPackAreDrawn() {
        tom.go("/batteries/G-07/wake?charger=12");
        assertThat(tom.driver().findElements(By.cssSelector("figure.wake svg"))).isNotEmpty();
        assertThat(tom.text("#content")).contains("half an hour");
    }

    @Test
    void aBatteryLeavesAndItsDocumentStays() {
        Battery battery = own.rested("LV" + UUID.randomUUID().toString().substring(0, 4), "T-17");
        Browser maud = new Browser(port, 1280, 800);
        try {
            maud.signIn("maud");
            maud.go("/batteries/" + battery.code() + "/retire");
            maud.driver().findElement(By.id("reason")).sendKeys("Down to 60 %.");
            maud.driver().findElement(By.id("recycler")).sendKeys("Kelmscot Lead Works");
            maud.driver()
                    .findElement(By.cssSelector("form[action$='/retire'] button"))
                    .click();
            maud.wait(SOON).until(d -> maud.text("#content").contains("has left"));
            assertThat(maud.text("#content")).contains("The life of " + battery.code(), "Down to 60 %.");
            maud.go("/fleet");
            assertThat(maud.text("#content")).doesNotContain(battery.code());
        } finally {
            maud.close();
        }
    }

    @Test
    void workOnAnAircraftsBatteryIsHeldUntilItIsSigned() {
        tom.go("/batteries/A-2/jobs/issue");
        assertThat(tom.text("#content")).contains("Nobody has signed for the work on A-2");
        priya.go("/batteries/A-2/aircraft");
        priya.driver().findElement(By.id("licence")).sendKeys("LM-4471");
        priya.driver().findElement(By.id("password")).sendKeys("lanternmoor");
        priya.driver()
                .findElement(By.cssSelector("form[action$='/sign'] button"))
                .click();
        priya.wait(SOON).until(d -> priya.text("#content").contains("A-2 is signed for"));
        tom.go("/batteries/A-2/jobs/issue");
        assertThat(tom.text("#content")).doesNotContain("Nobody has signed");
        priya.go("/batteries/A-2/life");
        assertThat(priya.text("#content")).contains("LM-4471");
        assertThat(priya.driver().findElements(By.cssSelector("a[href$='life.pdf']")))
                .hasSize(1);
    }
}
