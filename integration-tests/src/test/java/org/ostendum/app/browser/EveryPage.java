package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.springframework.boot.test.web.server.LocalServerPort;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
abstract class EveryPage extends ApplicationTest {
    @LocalServerPort
    private int port;

    private Browser browser;

    @BeforeAll
    void open() {
        browser = new Browser(port, 1280, 800);
        browser.signIn("maud");
        browser.go("/batteries/T-25/round");
        browser.find("main form button.action").click();
    }

    @AfterAll
    void close() {
        browser.close();
    }

    @ParameterizedTest
    @MethodSource("pages")
    void isAccessibleInBothThemesAndLoadsNothingFromElsewhere(String page) {
        browser.requested();
        browser.go(page);
        browser.js("document.documentElement.dataset.theme = 'DAY'");
        assertThat(violations(axe())).as(page).isEmpty();
        // At night the same page is told in other colours: nothing else can have changed.
        browser.js("document.documentElement.dataset.theme = 'NIGHT'");
        assertThat(violations(axe().withOnlyRules(List.of("color-contrast"))))
                .as(page + " at night")
                .isEmpty();
        assertThat(browser.requested())
                .filteredOn(url -> url.startsWith("http"))
                .isNotEmpty()
                .allMatch(url -> url.startsWith(browser.home()));
    }

    /** Without frames there is no need for the window of its own in which axe puts its answers together. */
    @SuppressWarnings("deprecation")
    private static AxeBuilder axe() {
        AxeRunOptions wrongOnly = new AxeRunOptions();
        // What is right would be listed with every element of the page, and took as long as the looking itself.
        wrongOnly.setResultTypes(List.of("violations"));
        return new AxeBuilder().setLegacyMode(true).withOptions(wrongOnly);
    }

    private List<String> violations(AxeBuilder axe) {
        return axe.analyze(browser.driver()).getViolations().stream()
                .map(rule -> rule.getId() + " "
                        + rule.getNodes().stream()
                                .limit(3)
                                .map(node -> node.getHtml() + " " + node.getTarget())
                                .toList())
                .toList();
    }
}
