package org.ostendum.app.repair;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.alarm.AlarmService;
import org.ostendum.app.alarm.StandingAlarm;
import org.ostendum.app.charging.ChargerMatches;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.event.BatteryEvent.CellBridged;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.procedure.Run;
import org.springframework.beans.factory.annotation.Autowired;

/** A bridged cell is a stop-gap: with the lead's approval, of one cell less everywhere, and with a date that rings. */
class BridgedCellTest extends JobsTest {
    @Autowired
    private OwnBatteries own;

    @Autowired
    private BatteryStates batteryStates;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private AlarmService alarms;

    @Autowired
    private ChargerMatches matches;

    @Autowired
    private BridgeDates dates;

    @Autowired
    private People persons;

    private Battery battery;

    @BeforeEach
    void rested() {
        String tag = UUID.randomUUID().toString().substring(0, 5);
        battery = own.rested("BC" + tag, "T-04");
    }

    private void happened(org.ostendum.core.event.BatteryEvent event) {
        record.record(
                battery,
                List.of(LedgerEvents.entry(
                        event, persons.byLogin("maud").orElseThrow().id(), "")));
    }

    private void bridge(Instant at, int days) {
        happened(new CellBridged(at, 3, at.plus(Duration.ofDays(days))));
    }

    @Test
    void theJobAsksTheLeadAndTheDate() throws Exception {
        long job = begin(tom, battery.code(), "cell-jumper", "looked", "yes");
        assertThat(say(tom, job, "done", "cell", "31").getContentAsString()).contains("There is no cell 31");
        say(tom, job, "done", "cell", "3");
        assertThat(tom.page("/jobs/" + job)).contains("The tray with cell 3 lit");
        until(tom, job, "gravity-again");
        say(tom, job, "done", "gravity-again", "1190");
        say(tom, job, "done", "days", "10");
        until(tom, job, "approval");
        assertThat(say(tom, job, "done", "approval", "").getStatus()).isEqualTo(422);
        assertThat(say(maud, job, "done", "approval", "").getStatus()).isLessThan(400);
        until(tom, job, "gas");
        say(tom, job, "done", "gas", "2");
        until(tom, job, "volts");
        say(tom, job, "done", "volts", "34.2");
        until(tom, job, "sign");
        say(tom, job, "done", "sign", "");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        assertThat(run(job).status()).isEqualTo(Run.Status.FINISHED);

        assertThat(batteryStates.stateOf(battery).cells().bridged()).containsOnlyKeys(3);
        assertThat(batteryStates.stateOf(battery).cells().atWork())
                .isEqualTo(battery.type().model().cells() - 1);
        assertThat(tom.page("/batteries/" + battery.code()))
                .contains("It is bridged until", "Renew cell 3 of", "Cell bridged", "Cell 3, until");
    }

    /** Asked of one battery at one moment, every page says the same. */
    @Test
    void everyPageKnowsThatACellIsMissing() throws Exception {
        String charger = matches.all(battery, ChargeKind.CONVENTIONAL).stream()
                .filter(match -> !match.isRefused())
                .findFirst()
                .orElseThrow()
                .charger()
                .code();
        bridge(TestClock.now().minus(Duration.ofHours(3)), 10);
        int volts = battery.type().model().nominalVolts() - 2;
        assertThat(tom.page("/batteries/" + battery.code() + "/jobs/charge?charger=" + charger))
                .contains("has " + volts + " V: never");
        assertThat(tom.page("/batteries/" + battery.code() + "/jobs/issue"))
                .contains("gives " + volts + " V while cell 3 is bridged");
        assertThat(tom.page("/machines/F5")).contains(battery.code() + " gives " + volts + " V");
        String charging = tom.page("/charging");
        int ready = charging.indexOf("Ready, longest waiting first");
        String rack = charging.substring(ready, charging.indexOf("<h2", ready));
        assertThat(rack.contains("/batteries/" + battery.code() + "\""))
                .as("no place on the rack of what may be taken in passing")
                .isFalse();
    }

    /** Read with the others, the round is whole without it. */
    @Test
    void aRoundSendsNobodyToIt() throws Exception {
        bridge(TestClock.now().minus(Duration.ofHours(3)), 10);
        tom.send("/batteries/" + battery.code() + "/round", "state", "FULL_CHARGE");
        String page = tom.page("/batteries/" + battery.code() + "/round");
        assertThat(page).contains(">bridged<", "17").doesNotContain("18 cells");
    }

    @Test
    void itsDateRingsUntilTheCellIsRenewed() {
        bridge(TestClock.now().minus(Duration.ofDays(12)), 10);
        dates.look();
        dates.look();
        assertThat(alarms.ringing())
                .filteredOn(a -> a.about().equals(battery.code()))
                .singleElement()
                .extracting(StandingAlarm::kind)
                .isEqualTo(AlarmKind.BRIDGED_TOO_LONG);

        happened(new CellReplaced(TestClock.now(), 3, "LK-3"));
        dates.look();
        assertThat(alarms.open())
                .filteredOn(a -> a.about().equals(battery.code()))
                .noneMatch(StandingAlarm::stands);
        assertThat(batteryStates.stateOf(battery).cells().bridged()).isEmpty();
    }
}
