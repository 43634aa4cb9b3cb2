package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;
import org.ostendum.app.alarm.AlarmService;
import org.ostendum.app.alarm.Alarms;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.alarm.Alarm;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.Amperes;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** How many taps and keys the commonest things take from the room, by a technician, against what may be asked of a hand. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class TapsAndKeysTest extends ApplicationTest {
    @LocalServerPort
    private int port;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private Chargers chargers;

    @Autowired
    private AlarmService alarms;

    @Autowired
    private Alarms standing;

    private Browser browser;
    private int taps;
    private int keys;

    @BeforeAll
    void open() {
        browser = new Browser(port, 1280, 800);
        browser.signIn("tom");
    }

    @AfterAll
    void close() {
        browser.close();
    }

    /** Without it the window is as small as the browser's own, and the field to find with is folded away. */
    private void fromTheRoom() {
        browser.go("/");
        taps = 0;
        keys = 0;
    }

    private void tap(String css) {
        browser.await(css).click();
        taps++;
    }

    private void type(CharSequence... typed) {
        browser.keys(typed);
        for (CharSequence part : typed) {
            keys += part instanceof Keys ? 1 : part.length();
        }
    }

    private void find(String code) {
        type("/", code);
        browser.await("#found a");
        type(Keys.ENTER);
    }

    private void atMost(String what, int mostTaps, int mostKeys) {
        System.out.printf("%-34s %2d taps (at most %d), %2d keys (at most %d)%n", what, taps, mostTaps, keys, mostKeys);
        assertThat(taps).as(what + ", taps").isLessThanOrEqualTo(mostTaps);
        assertThat(keys).as(what + ", keys").isLessThanOrEqualTo(mostKeys);
    }

    @Test
    void findABattery() {
        fromTheRoom();
        find("t8");
        browser.awaitText("h1", "T-08");
        atMost("find a battery", 0, 4);
    }

    @Test
    void firstAid() {
        fromTheRoom();
        tap("#acid");
        browser.awaitText("#aid-card h1", "");
        atMost("first aid", 1, 0);
    }

    /** From the room to the last cell's figure. */
    @Test
    void aRoundOfEighteenCells() {
        own.full("K-78", "T-21");
        fromTheRoom();
        find("k78");
        browser.awaitText("h1", "K-78");
        browser.await("a[href='/batteries/K-78/round']");
        tap(".slate a[href='/batteries/K-78/round']");
        tap("main form button.action");
        browser.await("#round");
        int cells = Integer.parseInt(browser.find("#round").getAttribute("data-cells"));
        for (int cell = 1; cell <= cells; cell++) {
            type("283");
        }
        browser.await("button.action");
        atMost("round of " + cells + " cells", 3, 5 + 3 * cells);
    }

    @Test
    void theNextThingIsBegunByOneKey() {
        fromTheRoom();
        type("n");
        browser.awaitText(".slate", "");
        assertThat(browser.driver().getCurrentUrl()).contains("/batteries/").containsAnyOf("/jobs/", "/round");
        atMost("begin what is most urgent", 0, 1);
    }

    /** On its usual charger, every check at one look; then off again along the row. */
    @Test
    void onChargeAndOff() {
        Battery battery = own.full("KP-1", "T-04");
        chargers.add(
                battery.slotId(),
                ChargerSheet.ofPlate("CKP-1", battery.type().model().cells(), new Amperes(96)));
        fromTheRoom();
        find("kp1");
        browser.awaitText("h1", "KP-1");
        tap(".slate a[href='/batteries/KP-1/jobs']");
        tap("a[href='/batteries/KP-1/jobs/charge']");
        browser.await("button[name=over]");
        tap("button[name=over]");
        browser.awaitText(".told", "Done and written down");
        atMost("on charge", 3, 5);

        fromTheRoom();
        type("gc");
        browser.await(".slate a[href='/charging/several']");
        tap(".slate a[href='/charging/several']");
        browser.await("#off input[value=KP-1]");
        tap("#off input[value=KP-1]");
        tap("button[form=off]");
        browser.awaitText(".told", "Off charge, 1: KP-1");
        atMost("off charge", 3, 2);
    }

    /** Ten batteries, from the room to the line that says it is written down. */
    @Test
    void theWateringWalkOfTen() {
        for (int i = 0; i < 10; i++) {
            own.full("WK-" + i, "T-21");
        }
        fromTheRoom();
        type("gw");
        browser.await("#walk");
        tap("#find-stop");
        type("wk-", Keys.ENTER);
        browser.await("#ml-WK-9");
        for (int i = 0; i < 10; i++) {
            tap("#ml-WK-" + i);
            type("200");
        }
        tap("button[form=walk]");
        browser.awaitText(".told", "10");
        atMost("water a walk of 10", 12, 6 + 3 * 10);
    }

    @Test
    void reportADefect() {
        own.full("KD-1", "T-04");
        fromTheRoom();
        find("kd1");
        browser.awaitText("h1", "KD-1");
        tap(".slate a[href='/batteries/KD-1/defect']");
        tap("button[value=DIRTY_TOP]");
        browser.awaitText(".told", "Reported");
        atMost("report a defect", 2, 5);
    }

    @Test
    void readOneCell() {
        own.full("KQ-1", "T-04");
        fromTheRoom();
        find("kq1");
        browser.awaitText("h1", "KQ-1");
        tap(".slate a[href='/batteries/KQ-1/reading']");
        tap("#cell");
        type("5", Keys.TAB, "281", Keys.ENTER);
        browser.awaitText(".told", "Kept");
        atMost("read one cell", 2, 12);
    }

    @Test
    void anAlarmIsSeen() {
        Battery battery = own.full("KA-1", "T-04");
        alarms.ring(
                new Alarm(
                        AlarmKind.BRIDGED_TOO_LONG,
                        "KA-1",
                        Message.of("alarm.BRIDGED_TOO_LONG", "KA-1", 4, TestClock.now())),
                new Alarms.Belongs(battery.id(), null, null));
        fromTheRoom();
        type("gx");
        long id = waiting("KA-1");
        tap("form[action='/alarms/" + id + "'] button");
        browser.awaitText(".told", "");
        atMost("alarm seen", 1, 2);
    }

    private long waiting(String about) {
        return standing.open().stream()
                .filter(alarm -> alarm.about().equals(about))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    void changeOfShift() {
        fromTheRoom();
        type("gl");
        tap(".slate a[href='/day']");
        browser.await("#print");
        atMost("day sheet, to be printed", 1, 2);
    }

    @Test
    void theLastEqualising() {
        fromTheRoom();
        find("t19");
        browser.awaitText("h1", "T-19");
        browser.awaitText(".slate .foot", "");
        atMost("look up the last equalising", 0, 5);
    }

    static List<String> mainPages() {
        return List.of(
                "/",
                "/mine",
                "/fleet",
                "/charging",
                "/charging/several",
                "/machines",
                "/machines/F5",
                "/batteries/T-07",
                "/batteries/G-01/pack",
                "/watering",
                "/jobs",
                "/ledger",
                "/day",
                "/safety",
                "/rules");
    }

    @ParameterizedTest
    @MethodSource("mainPages")
    void aPhoneNeedsNoSidewaysScroll(String page) {
        browser.size(360, 780, true);
        browser.go(page);
        assertThat(browser.pageWidth()).as(page).isLessThanOrEqualTo(360);
        assertThat(
                        browser.js(
                                """
                        return [...document.querySelectorAll('.slate :is(a, button).action')]
                          .filter((e) => e.checkVisibility() && e.getBoundingClientRect().height < 44).map((e) => e.innerText).join()
                        """))
                .isEqualTo("");
        browser.size(1280, 800, false);
    }

    /** Spanish words are longer by a fifth; the line of pages is the first to feel it. */
    @Test
    void noMainPageScrollsSidewaysInSpanish() {
        speak("SPANISH");
        for (String page : mainPages()) {
            browser.go(page);
            for (int width : List.of(360, 1024, 1280)) {
                browser.size(width, 800, width < 1280);
                assertThat(browser.pageWidth()).as(page + " on " + width).isLessThanOrEqualTo(width);
            }
        }
        speak("ENGLISH");
    }

    private void speak(String language) {
        browser.go("/me");
        new Select(browser.find("#language")).selectByValue(language);
        browser.find("main form button.action").click();
        browser.await("html[lang=" + (language.equals("SPANISH") ? "es" : "en") + "] .told");
    }
}
