package org.ostendum.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.By;
import org.ostendum.app.capacity.CapacityTest;
import org.ostendum.app.capacity.CapacityTests;
import org.ostendum.app.change.ExchangesUnderWay;
import org.ostendum.app.support.Application;
import org.ostendum.app.support.Browser;
import org.ostendum.core.event.EntryKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;

/** The application as a process of its own, killed in the middle of somebody's work. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ApplicationKilledTest extends ExchangesUnderWay {
    private static final Duration CUT_OFF = Duration.ofSeconds(60);
    private static final String ROUND = "/batteries/KILL-1/round";

    @Value("${spring.datasource.url}")
    private String databaseUrl;

    @Autowired
    private CapacityTests tests;

    private Application application;
    private Browser round;
    private Browser job;
    private Browser bench;
    private String jobAt;
    private CapacityTest test;
    private int rowsBefore;

    @BeforeAll
    void allAreAtWorkWhenItIsKilledAndStartedAgain() throws Exception {
        own.full("KILL-1", "T-02");
        application = new Application(databaseUrl);
        beginRound();
        beginJob();
        beginTest();
        beginExchanges();
        killWhileExchanging(application);
        round.keys("284");
        round.awaitText("#said", "Not sent yet: 1");
        round.await("#away:not([hidden])", CUT_OFF);
        application.start();
    }

    private void beginRound() {
        round = new Browser(application.port(), 1280, 800);
        round.signIn("tom");
        round.go(ROUND);
        round.find("main form button.action").click();
        round.await("#round");
        round.keys("281", "282", "283");
        round.awaitText("#slate", "3 of 18");
    }

    private void beginJob() {
        job = new Browser(application.port(), 390, 844);
        job.signIn("ines");
        job.go("/batteries/T-08/jobs/inspect-daily");
        job.find("button.action").click();
        job.await(".now-step button").click();
        job.awaitText(".now-step h2", "Look at the case");
        job.await(".answer").click();
        job.awaitText(".now-step h2", "Look at every post");
        jobAt = job.driver().getCurrentUrl();
    }

    private void beginTest() {
        test = tests.open().stream().filter(t -> !t.isByBank()).findFirst().orElseThrow();
        bench = new Browser(application.port(), 1280, 800);
        bench.signIn("tom");
        bench.go("/capacity/" + test.id());
        rowsBefore = rows(bench);
        type(bench, "23.61", "155");
    }

    @AfterAll
    void end() {
        Stream.of(round, job, bench).filter(Objects::nonNull).forEach(Browser::close);
        application.close();
    }

    /** What was shown as kept is there, what was typed meanwhile follows. */
    @Test
    void theRoundGoesOnWhereItWas() {
        round.awaitText("#slate", "4 of 18");
        round.await("#away[hidden]", CUT_OFF);
        round.go(ROUND);
        round.await("#round");
        assertThat(round.text("[data-cell='3']")).contains("1.283");
        assertThat(round.text("[data-cell='4']")).contains("1.284");
        assertThat(round.find("#drawing svg[data-next]").getDomAttribute("data-next"))
                .isEqualTo("5");
    }

    /** Every confirmed step is there, and the clock has run on. */
    @Test
    void theJobGoesOnWhereItWas() {
        job.driver().get(jobAt);
        job.awaitText(".now-step h2", "Look at every post");
        assertThat(job.text(".way")).contains("Sound and dry", "key off, brake set");
        for (int i = 0; i < 5; i++) {
            String was = job.text(".now-step h2");
            job.await(".answer").click();
            job.wait(Duration.ofSeconds(15))
                    .until(d -> !job.text(".now-step h2").equals(was));
        }
        job.await(".now-step button").click();
        job.awaitText(".now-step h2", "written down");
        long id = batteries.byCode("T-08").orElseThrow().id();
        assertThat(ledger.ofBattery(id, null, 1).get(0).kind()).isEqualTo(EntryKind.JOB);
    }

    /** Of no battery is it said that it is in two places, or in none. */
    @Test
    void bothBatteriesOfAnExchangeAreSomewhereTrueAndNothingIsDoubled() throws Exception {
        sendExchangesAgain(application);
    }

    /** What was read in mid-test is there, and the next reading follows it. */
    @Test
    void theCapacityTestGoesOnWhereItWas() {
        bench.go("/capacity/" + test.id());
        assertThat(rows(bench)).isEqualTo(rowsBefore + 1);
        assertThat(bench.text("#course .meter")).contains("23.61 V");
        type(bench, "23.57", "158");
        assertThat(rows(bench)).isEqualTo(rowsBefore + 2);
        assertThat(tests.open()).extracting(CapacityTest::id).contains(test.id());
    }

    private static int rows(Browser browser) {
        return browser.driver()
                .findElements(By.cssSelector("details table tbody tr"))
                .size();
    }

    private static void type(Browser browser, String volts, String minutesUnderLoad) {
        browser.find("[name=volts]").sendKeys(volts);
        browser.find("[name=minutes]").sendKeys(minutesUnderLoad);
        browser.find("form[action$='/row'] button").click();
        browser.awaitText("#course .meter", volts);
    }
}
