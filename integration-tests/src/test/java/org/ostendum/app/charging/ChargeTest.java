package org.ostendum.app.charging;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.charge.ChargeReadings;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

class ChargeTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @Autowired
    private BatteryRecord batteryRecord;

    @Autowired
    private BatteryStates batteryStates;

    @Autowired
    private ChargeReadings readings;

    @Autowired
    private People people;

    @Autowired
    private ChargeViews views;

    private AsPerson tom;
    private long tomsId;

    @BeforeEach
    void people() {
        tom = AsPerson.tom(mvc);
        tomsId = people.byLogin("tom").orElseThrow().id();
    }

    /** A 24 V pack put on charge so many hours ago. */
    private Battery onCharge(String code, int hoursAgo) {
        Battery battery = batteries.byCode(code).orElseThrow();
        Instant start = TestClock.now().minus(Duration.ofHours(hoursAgo));
        batteryRecord.record(
                battery,
                List.of(
                        NewEntry.of(EntryKind.DISCHARGE, start.minusSeconds(3600), tomsId, null, ""),
                        NewEntry.of(EntryKind.CHARGE_START, start, tomsId, null, "")));
        return battery;
    }

    private void steady(Battery battery) {
        int cells = battery.type().model().cells();
        double amps = 0.04 * battery.type().model().capacity().ampHours();
        Instant now = TestClock.now().minusSeconds(20);
        for (int minute = 150; minute >= 0; minute -= 5) {
            readings.add(
                    battery.id(),
                    new ChargeSample(
                            now.minus(Duration.ofMinutes(minute)),
                            Volts.of(2.62 * cells),
                            new Amperes(amps),
                            Celsius.of(30)),
                    tomsId);
        }
    }

    @Test
    void whatIsReadIsKeptAndJudged() throws Exception {
        Battery battery = onCharge("P-1", 2);
        String path = "/batteries/P-1/charge";
        assertThat(tom.page(path)).contains("Nothing has been read yet", "Not full yet");
        int cells = battery.type().model().cells();
        assertThat(tom.send(path, "volts", String.valueOf(24 * cells / 10.0), "amps", "30", "celsius", "28")
                        .getStatus())
                .isEqualTo(302);
        assertThat(tom.send(path, "pilot", "240", "celsius", "28").getStatus()).isEqualTo(302);
        ChargeViews.ChargeView view = views.view(battery, false).orElseThrow();
        assertThat(view.samples()).hasSize(1);
        assertThat(view.pilots()).hasSize(1);
        assertThat(view.pilots().get(0).gravity().tenths()).isEqualTo(12421);
        assertThat(tom.page(path)).contains("Pilot cell, corrected", "1.242");
    }

    @Test
    void badFiguresAreNamedAndNothingIsLost() throws Exception {
        onCharge("P-2", 2);
        String path = "/batteries/P-2/charge";
        MockHttpServletResponse answer = tom.send(path, "volts", "255", "amps", "12", "pilot", "9", "celsius", "");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains("“255” is outside", "“9” was not understood", "value=\"12\"");
        assertThat(tom.send(path, "pilot", "240").getContentAsString()).contains("needs its temperature");
        assertThat(tom.send(path).getContentAsString()).contains("Type what was read");
        assertThat(tom.send("/batteries/T-09/charge/end", "reason", "why not").getStatus())
                .isEqualTo(422);
    }

    @Test
    void aSteadyFinishAndTheLampAreFullAndTheEvidenceStaysOnTheLedger() throws Exception {
        Battery battery = onCharge("P-3", 6);
        steady(battery);
        assertThat(views.view(battery, false).orElseThrow().verdict().signs()).containsExactly(FullSign.STEADY_VOLTAGE);
        assertThat(tom.page("/batteries/P-3/charge")).contains("finish", "voltage steady at the finish");
        assertThat(tom.send("/batteries/P-3/charge/end", "lamp", "yes").getStatus())
                .isEqualTo(302);
        assertThat(tom.page("/batteries/P-3")).contains("Full: voltage steady at the finish, the charger");
        assertThat(views.view(battery, false).orElseThrow().isRunning()).isFalse();
    }

    @Test
    void whatIsNotShownToBeFullEndsOnlyWithAReason() throws Exception {
        onCharge("P-6", 1);
        MockHttpServletResponse refused = tom.send("/batteries/P-6/charge/end", "lamp", "yes");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString()).contains("does not show it to be full");
        assertThat(tom.send("/batteries/P-6/charge/end", "reason", "The lift is wanted on the stage.")
                        .getStatus())
                .isEqualTo(302);
        assertThat(tom.page("/batteries/P-6")).contains("not shown to be full: no evidence", "wanted on the stage");
    }

    /** What shows full in heat shows nothing; and why it ends the application knows by itself. */
    @Test
    void tooHotEndsItWithoutAskingWhy() throws Exception {
        Battery battery = onCharge("P-7", 6);
        steady(battery);
        int cells = battery.type().model().cells();
        tom.send("/batteries/P-7/charge", "volts", String.valueOf(2.5 * cells), "amps", "20", "celsius", "50");
        assertThat(tom.page("/batteries/P-7/charge"))
                .contains("End the charge of P-7 now", "Stop the charge: 50", "End it: stopped")
                .doesNotContain("Why it ends without being full");
        assertThat(tom.send("/batteries/P-7/charge/end", "lamp", "yes").getStatus())
                .isEqualTo(302);
        assertThat(batteryStates.stateOf(battery).charging().ending()).isEqualTo(Ending.STOPPED);
        assertThat(tom.page("/batteries/P-7")).contains("not shown to be full", "Stop the charge: 50");
    }

    @Test
    void aYearOfChargesIsToldByMonth() throws Exception {
        Battery battery = batteries.byCode("T-15").orElseThrow();
        assertThat(views.months(battery)).hasSizeGreaterThan(10).allSatisfy(month -> {
            assertThat(month.starts()).isPositive();
            assertThat(month.missed()).isLessThan(month.starts());
        });
        // At a month's edge a charge and its shift may be parted: the middle one says what is usual, whatever the day.
        double[] returns = views.months(battery).stream()
                .map(month -> month.chargeReturn())
                .filter(Objects::nonNull)
                .mapToDouble(Double::doubleValue)
                .sorted()
                .toArray();
        assertThat(returns[returns.length / 2]).isBetween(1.05, 1.2);
        assertThat(tom.page("/batteries/T-15/charge")).contains("Its charges by month", " Ah · 1.1");
    }
}
