package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.By;
import org.openqa.selenium.StaleElementReferenceException;
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

    private static void press(Browser browser, String text) {
        browser.wait(Duration.ofSeconds(40))
                .ignoring(StaleElementReferenceException.class)
                .withMessage(() -> "No “" + text + "” on\n" + browser.text("#content"))
                .until(d -> d.findElements(By.cssSelector("#content button, #content a, #content summary")).stream()
                        .filter(b -> b.isDisplayed()
                                && b.getText().strip().toLowerCase().startsWith(text.toLowerCase()))
                        .findFirst()
                        .map(button -> {
                            button.click();
                            return true;
                        })
                        .orElse(false));
    }

    private static void sees(Browser browser, String text) {
        browser.wait(Duration.ofSeconds(20))
                .ignoring(StaleElementReferenceException.class)
                .withMessage(() -> "No “" + text + "” on\n" + browser.text("#content"))
                .until(d -> browser.text("#content").toLowerCase().contains(text.toLowerCase()));
    }

    @Test
    void fromThePlanOfTheDayToTheFirstJobDone() {
        lead.go("/plan");
        press(lead, "Plan anew from now");
        press(lead, "The plan is there");
        press(lead, "Take this plan");
        sees(lead, "The plan is in force");

        String bar = lead.wait(Duration.ofSeconds(10))
                .until(d -> d.findElements(By.cssSelector(".bar-of.charge")).stream()
                        .filter(b -> !b.getText().contains("●") && b.getText().startsWith("T-"))
                        .map(b -> b.getDomAttribute("href"))
                        .reduce((a, b) -> b)
                        .orElse(null));
        lead.go(bar.substring(bar.indexOf("/plan")));
        press(lead, "Pin it here");
        sees(lead, "Pinned");
        press(lead, "The whole plan");

        press(lead, "Something went wrong");
        press(lead, "A charger does not work");
        press(lead, "Say so and plan again");
        sees(lead, "Proposed");
        sees(lead, "differs");
        press(lead, "Take this plan");
        sees(lead, "The plan is in force");

        hand.go("/plan/mine");
        String first = hand.text(".run-list li.next h2");
        press(hand, "Done");
        sees(hand, "Kept as done");
        assertThat(hand.text(".run-list li.next h2")).isNotEqualTo(first);
        hand.go("/plan/wrong");
        press(hand, "It is over");
        sees(hand, "planned anew");
    }
}
