package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.Looks;
import org.springframework.boot.test.web.server.LocalServerPort;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
abstract class EveryPage extends ApplicationTest {
    private static final int DESK = 1280;
    private static final int HEIGHT = 800;
    /** A phone, a tablet and a desk: none scrolls sideways. */
    private static final List<Integer> WIDTHS = List.of(360, 1024, DESK);

    @LocalServerPort
    private int port;

    private Browser browser;
    private Looks looks;

    @BeforeAll
    void open() {
        browser = new Browser(port, DESK, HEIGHT);
        browser.signIn("maud");
        looks = new Looks(browser);
    }

    Browser browser() {
        return browser;
    }

    @AfterAll
    void close() {
        browser.close();
    }

    @ParameterizedTest
    @MethodSource("pages")
    void isAccessibleInBothThemesAndLoadsNothingFromElsewhere(String page) {
        browser.go(page);
        assertThat(browser.requested())
                .filteredOn(url -> url.startsWith("http"))
                .isNotEmpty()
                .allMatch(url -> url.startsWith(browser.home()));
        assertThat(looks.wrong()).as(page).isEmpty();
        // At night the same page is told in other colours: nothing else can have changed.
        assertThat(looks.illegible()).as(page).isEmpty();
        for (int width : WIDTHS) {
            browser.size(width, HEIGHT, width < DESK);
            assertThat(browser.pageWidth()).as(page + " on " + width).isLessThanOrEqualTo(width);
        }
    }

    /** That nothing is found says something only where something would be. */
    @Test
    void whatIsWrongIsFound() {
        for (String page : List.of("/me", "/alarms")) {
            isFoundOn(page);
        }
    }

    private void isFoundOn(String page) {
        browser.go(page);
        browser.js(
                """
                document.querySelector('main').insertAdjacentHTML('beforeend', '<p><input type=text></p><p id=pale>pale</p>');
                Object.assign(document.getElementById('pale').style, { color: '#8c8c8c', background: '#808080' });
                """);
        assertThat(looks.wrong()).singleElement().asString().startsWith("label");
        assertThat(looks.illegible())
                .satisfiesExactly(
                        day -> assertThat(day).startsWith("DAY").contains("pale"),
                        night -> assertThat(night).startsWith("NIGHT").contains("pale"));
    }
}
