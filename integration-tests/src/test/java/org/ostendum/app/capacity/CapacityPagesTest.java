package org.ostendum.app.capacity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Stage;
import org.springframework.beans.factory.annotation.Autowired;

/** Capacity tests by hand as a person makes them, and what the other pages say of the battery meanwhile and afterwards. */
class CapacityPagesTest extends JobsTest {
    @Autowired
    private CapacityTests tests;

    @Autowired
    private BatteryStates states;

    private Battery battery() {
        return batteries.all().stream()
                .filter(b -> b.type().model().duty() == Duty.MOTIVE)
                // That the charger fits which it is taken to.
                .filter(b -> b.type().model().nominalVolts() == 36)
                .filter(b -> {
                    BatteryState state = states.stateOf(b);
                    return state.stage() == Stage.IN_SERVICE
                            && !state.isCharging()
                            && state.inHand() == null
                            && tests.of(b.id()).isEmpty()
                            && state.defects().isEmpty()
                            && jobs.ofBattery(b.id(), 1).stream().noneMatch(Job::isOpen);
                })
                .findFirst()
                .orElseThrow();
    }

    private CapacityTest begun(Battery battery) throws Exception {
        String address = "/batteries/" + battery.code() + "/capacity";
        tom.send(address, "kind", "SIX_HOURS", "celsius", "24", "by", "hand", "reason", "Drivers complain.");
        return tests.openOf(battery.id()).orElseThrow();
    }

    @Test
    void itIsReadByHandToItsCutOff() throws Exception {
        Battery battery = battery();
        int cells = battery.type().model().cells();
        CapacityTest test = begun(battery);
        String address = "/capacity/" + test.id();
        sql.execute("update capacity_test set begun_at = begun_at - interval 6 hour where id = ?", test.id());
        assertThat(tom.page("/batteries/" + battery.code())).contains("A capacity test runs");
        assertThat(tom.page("/jobs")).contains(address);
        assertThat(tom.page("/batteries/" + battery.code() + "/jobs/charge")).contains("Capacity test");

        String leads = String.join(" ", Collections.nCopies(cells, "2.03"));
        tom.send(address + "/row", "volts", volts(cells, 2.03), "minutes", "0", "leads", leads);
        var wrong = tom.send(address + "/row", "volts", volts(cells, 2.0), "minutes", "60", "leads", "2.0 1.99");
        assertThat(wrong.getStatus()).isEqualTo(422);
        assertThat(wrong.getContentAsString()).contains("2 voltages were typed", "value=\"2.0 1.99\"");
        assertThat(tom.send(address + "/row", "volts", volts(cells, 2.0), "minutes", "0")
                        .getStatus())
                .isEqualTo(422);
        tom.send(address + "/row", "volts", volts(cells, 1.97), "minutes", "120");
        assertThat(tom.page(address)).contains("Cut-off likely at", "Next reading due at");
        tom.send(address + "/row", "volts", volts(cells, 1.72), "minutes", "300");
        tom.send(address + "/row", "volts", volts(cells, 1.66), "minutes", "306");

        CapacityTest done = tests.byId(test.id()).orElseThrow();
        assertThat(done.end().kind()).isEqualTo(CapacityTest.EndKind.CUT_OFF);
        assertThat(done.part()).isBetween(0.85, 0.9);
        assertThat(tom.page(address)).contains("87 % of its rating: serviceable", "0.006", "Charge it now");
        // Its charge was opened in the tester's name, with every step of it still to be done.
        Job charge = jobs.ofBattery(battery.id(), 1).get(0);
        assertThat(charge.procedureId()).isEqualTo("charge");
        assertThat(charge.isOpen()).isTrue();
        assertThat(tom.page(address)).contains("Its charge is open: go on", "/jobs/" + charge.id());
        assertThat(states.stateOf(battery).isCharging()).isFalse();
        // Whoever takes it to another charger goes on with the same job, on that one.
        assertThat(begin(tom, battery.code(), "charge", "charger", "CA3", "kind", "CONVENTIONAL"))
                .isEqualTo(charge.id());
        assertThat(jobs.byId(charge.id()).orElseThrow().charger()).isEqualTo("CA3");
        assertThat(tom.page("/batteries/" + battery.code())).contains("It was emptied by a capacity test");
        assertThat(tom.page("/batteries/" + battery.code() + "/jobs/issue"))
                .contains("was emptied by a capacity test and has not been charged full since");
        assertThat(tom.page("/batteries/" + battery.code() + "/ledger")).contains("Capacity tested");

        // Taken back, it counts nowhere any more: neither in the state nor among the tests.
        int seq = ledger.ofBattery(battery.id(), null, 10).stream()
                .filter(line -> line.kind() == EntryKind.CAPACITY)
                .mapToInt(LedgerEntry::seq)
                .findFirst()
                .orElseThrow();
        tom.send("/batteries/" + battery.code() + "/ledger/" + seq + "/take-back", "reason", "The wrong battery.");
        assertThat(states.stateOf(battery).tests().part()).isNull();
        assertThat(states.stateOf(battery).tests().isRechargeDue()).isFalse();
        assertThat(tests.byId(test.id()).orElseThrow().part()).isNull();
        assertThat(tom.page(address)).contains("Its line was taken back");
    }

    private static String volts(int cells, double each) {
        return String.valueOf(Math.round(cells * each * 100) / 100.0);
    }

    @Test
    void whatCannotBeTestedIsToldAndNothingTypedIsLost() throws Exception {
        Battery battery = battery();
        String address = "/batteries/" + battery.code() + "/capacity";
        var cold =
                tom.send(address, "kind", "SIX_HOURS", "celsius", "3", "amperes", "77", "reason", "Drivers complain.");
        assertThat(cold.getStatus()).isEqualTo(422);
        assertThat(cold.getContentAsString()).contains("10 to 40", "value=\"77\"", "value=\"Drivers complain.\"");
        var none = tom.send(address, "kind", "SIX_HOURS", "reason", "Drivers complain.");
        assertThat(none.getContentAsString()).contains("Read the electrolyte");
        CapacityTest test = begun(battery);
        assertThat(tom.send(address, "kind", "SIX_HOURS", "celsius", "24", "reason", "Once more.")
                        .getStatus())
                .isEqualTo(422);
        assertThat(tom.send("/capacity/" + test.id() + "/stop", "reason", "").getStatus())
                .isEqualTo(422);
        tom.send("/capacity/" + test.id() + "/stop", "reason", "Wanted on the stage.");
        assertThat(tom.page("/capacity/" + test.id())).contains("Broken off", "Wanted on the stage.");
        // Nothing was drawn: there is nothing to put back.
        assertThat(jobs.ofBattery(test.batteryId(), 1)).noneMatch(Job::isOpen);
        assertThat(states.stateOf(battery).inHand()).isNull();
        // Stopped at once, the load was never on: nothing was taken out of it.
        assertThat(ledger.ofBattery(battery.id(), null, 1).get(0).kind()).isEqualTo(EntryKind.NOTE);
    }

    @Test
    void quickLooksAreJudgedAndKept() throws Exception {
        Battery battery = battery();
        String address = "/batteries/" + battery.code() + "/capacity";
        int cells = battery.type().model().cells();
        tom.send(address + "/load", "load-amps", "300", "load-seconds", "15", "load-volts", volts(cells, 1.4));
        tom.send(address + "/hours", "hours", "4.5");
        assertThat(tom.page("/batteries/" + battery.code() + "/ledger"))
                .contains("Load tester 300 A", "Bad", "Ran 4.5 h: 75 %");
        assertThat(tom.send(address + "/load", "load-amps", "many").getStatus()).isEqualTo(302);
    }
}
