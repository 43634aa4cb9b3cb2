package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

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
class EveryPageTest extends ApplicationTest {
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

    static List<String> pages() {
        return List.of(
                "/rooms/main",
                "/batteries/T-07",
                "/batteries/G-03",
                "/batteries/T-25/round",
                "/batteries/T-23/round",
                "/batteries/T-08/correct?cell=2",
                "/batteries/T-08/ledger?check",
                "/batteries/T-19/jobs",
                "/batteries/T-13/jobs/water",
                "/batteries/G-06/volts",
                "/batteries/T-19/map?a=1%2B&b=12-",
                "/date-code?code=J4",
                "/jobs",
                "/jobs/3",
                "/jobs/4/report",
                "/jobs/5",
                "/procedures",
                "/procedures/water",
                "/safety",
                "/sums/mixing",
                "/sums/freezing",
                "/sums/gas",
                "/sums/adjusting?from=T-07",
                "/sums/pool",
                "/sums/capacity?testAmperes=x",
                "/sums/beam",
                "/sums/repair?from=T-07",
                "/charging?fan=off",
                "/watering",
                "/batteries/T-05/charge",
                "/batteries/T-24/jobs/charge?charger=CB1",
                "/alarms",
                "/chargers/CA2",
                "/setup/chargers/CA3",
                "/setup/devices",
                "/setup/charging",
                "/setup/water",
                "/batteries/T-07/chargers?charger=CK1",
                "/fleet?by=DAYS&severity=STOP",
                "/sums/repair",
                "/exchange",
                "/safety/stations/5/kit",
                "/fleet",
                "/ledger",
                "/rules",
                "/me",
                "/find?q=t",
                "/first-aid",
                "/setup",
                "/setup/batteries",
                "/setup/models/1",
                "/setup/machines",
                "/setup/rooms/main",
                "/setup/people",
                "/no-such-page");
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
        return new AxeBuilder().setLegacyMode(true);
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
