package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A lead plans the day, pins a charge, hears of a broken charger and takes the new plan; a technician does his first job. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PlanInTheBrowserTest extends ApplicationTest {
    @LocalServerPort
    private int port;

    private Browser lead;
    private Browser hand;

    @BeforeAll
    void open() {
        lead = new Browser(port, 1280, 800);
        lead.signIn("maud");
        hand = new Browser(port, 390, 844);
        hand.signIn("tom");
    }

    @AfterAll
    void close() {
        lead.close();
        hand.close();
    }

    private static void sees(Browser browser, String text) {
        browser.wait(Duration.ofSeconds(20))
                .ignoring(StaleElementReferenceException.class)
                .withMessage(() -> "No “" + text + "” on\n" + browser.text("#content"))
                .until(d -> browser.text("#content").toLowerCase().contains(text.toLowerCase()));
    }

    /** By the arrows, as whoever does not drag: an hour later, put down with Enter, proposed and pinned. */
    @Test
    void aChargeIsMovedByTheArrowsAndByTheHand() {
        lead.go("/plan");
        WebElement bar = lastOwnBar();
        String battery = bar.getText();
        for (int i = 0; i < 4; i++) {
            bar.sendKeys(Keys.ARROW_LEFT);
        }
        sees(lead, "put it down with Enter");
        assertThat(lead.text("#move-said")).contains(bar.getDomAttribute("data-charger"));
        bar.sendKeys(Keys.ENTER);
        sees(lead, battery);
        assertThat(lead.text("#content")).containsAnyOf("Pinned: it stays", "It cannot be on");

        lead.go("/plan");
        WebElement dragged = lastOwnBar();
        new Actions(lead.driver())
                .clickAndHold(dragged)
                .moveByOffset(-40, 0)
                .moveByOffset(-10, 0)
                .release()
                .perform();
        lead.wait(Duration.ofSeconds(20)).until(d -> d.getCurrentUrl().contains("job="));
        assertThat(lead.text("#content")).containsAnyOf("Pinned: it stays", "It cannot be on");
        lead.go("/plan");
        if (lead.text("#content").contains("Leave it")) {
            lead.press("Leave it");
        }
    }

    private WebElement lastOwnBar() {
        List<WebElement> bars = lead.wait(Duration.ofSeconds(10)).until(d -> {
            List<WebElement> own = d.findElements(By.cssSelector(".bar-of.charge[data-job]"));
            return own.isEmpty() ? null : own;
        });
        return bars.get(bars.size() - 1);
    }

    @Test
    void fromThePlanOfTheDayToTheFirstJobDone() {
        lead.go("/plan");
        lead.press("Plan anew from now");
        lead.press("The plan is there");
        lead.press("Take this plan");
        sees(lead, "The plan is in force");

        String bar = lead.wait(Duration.ofSeconds(10))
                .until(d -> d.findElements(By.cssSelector(".bar-of.charge")).stream()
                        .filter(b -> !b.getText().contains("●") && b.getText().startsWith("T-"))
                        .map(b -> b.getDomAttribute("href"))
                        .reduce((a, b) -> b)
                        .orElse(null));
        lead.go(bar.substring(bar.indexOf("/plan")));
        lead.press("Pin it here");
        sees(lead, "Pinned");
        lead.press("The whole plan");

        lead.press("Something went wrong");
        lead.press("A charger does not work");
        lead.press("Say so and plan again");
        sees(lead, "Proposed");
        sees(lead, "differs");
        lead.press("Take this plan");
        sees(lead, "The plan is in force");

        hand.go("/plan/mine");
        String first = hand.text(".run-list li.next h2");
        assertThat(first).as("the first job of the day").matches("Put \\S+ on \\S+");
        hand.find(".run-list li.next a.plain").click();
        hand.await("button[name=over]").click();
        hand.awaitText(".told", "Done and written down");
        hand.go("/plan/mine");
        assertThat(hand.text(".run-list li.next h2"))
                .as(() -> "the state shows that it is done, on\n" + hand.text("#content"))
                .isNotEqualTo(first);
        hand.go("/plan/wrong");
        hand.press("It is over");
        sees(hand, "planned anew");
    }
}
