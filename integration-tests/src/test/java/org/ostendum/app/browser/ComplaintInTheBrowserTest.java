package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.springframework.boot.test.web.server.LocalServerPort;

/** On a phone: a driver says that his car smells, and the technician is led to the charger that never ends. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ComplaintInTheBrowserTest extends ApplicationTest {
    private static final int MOST_LOOKS = 14;

    @LocalServerPort
    private int port;

    private Browser hand;

    @BeforeAll
    void open() {
        hand = new Browser(port, 390, 844);
        hand.signIn("tom");
    }

    @AfterAll
    void close() {
        hand.close();
    }

    private Optional<WebElement> shown(String outcome) {
        return hand.driver().findElements(By.cssSelector("#content button[name=shown][value=" + outcome + "]")).stream()
                .filter(WebElement::isDisplayed)
                .findFirst();
    }

    /** A charger that gives too much: everything is hot, charges never end, the level is low. */
    private WebElement whatItShows() {
        for (String outcome :
                new String[] {"ALL_HOT", "TOO_LONG", "LOW", "DIRTY", "TOO_MUCH", "SOUND", "AS_EVER", "EVEN"}) {
            Optional<WebElement> button = shown(outcome);
            if (button.isPresent()) {
                return button.get();
            }
        }
        throw new AssertionError(hand.text("#content"));
    }

    private int looksTold() {
        return hand.driver().findElements(By.cssSelector("ul.lines li")).size();
    }

    @Test
    void aSmellIsLedToItsCharger() {
        hand.go("/batteries/G-02/complaint");
        hand.driver().findElement(By.id("said")).sendKeys("Stinks of eggs in the morning.");
        hand.driver().findElement(By.cssSelector("button[value=SMELLS]")).click();
        hand.wait(Duration.ofSeconds(20)).until(d -> d.getCurrentUrl().contains("/complaints/"));
        String address = hand.driver().getCurrentUrl();
        int looks = 0;
        while (hand.driver()
                .findElements(By.cssSelector("button.action[name=cause]"))
                .isEmpty()) {
            assertThat(++looks).isLessThan(MOST_LOOKS);
            int told = looksTold();
            whatItShows().click();
            hand.wait(Duration.ofSeconds(20)).until(d -> looksTold() > told);
        }
        assertThat(hand.text("#content").toLowerCase()).contains("charger does not end or gives too much");
        hand.driver().findElement(By.cssSelector("button.action[name=cause]")).click();
        hand.wait(Duration.ofSeconds(20)).until(d -> hand.text("#content").contains("Take the charger out of use"));
        assertThat(hand.driver().getCurrentUrl()).isEqualTo(address);
    }
}
