package org.ostendum.app.charging;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.EntryKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** A charge that was put down wrongly is as if it had not been, on every screen. */
class ChargeTakenBackTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private BatteryStates states;

    @Autowired
    private ChargeRuns runs;

    @Autowired
    private Ledger ledger;

    @Autowired
    private People people;

    private void begin(Battery battery, ChargeKind kind) {
        long tom = people.byLogin("tom").orElseThrow().id();
        record.record(battery, List.of(LedgerEvents.entry(new ChargeStarted(TestClock.now(), kind, null), tom, "")));
    }

    private void takeBack(Battery battery, EntryKind kind) throws Exception {
        LedgerEntry line = ledger.ofBattery(battery.id(), null, 10).stream()
                .filter(entry -> entry.kind() == kind)
                .findFirst()
                .orElseThrow();
        String at = "/batteries/" + battery.code() + "/ledger/" + line.seq() + "/take-back";
        assertThat(AsPerson.maud(mvc).send(at, "reason", "the wrong battery").getStatus())
                .isEqualTo(302);
    }

    @Test
    void aChargeThatWasNeverBegunRunsNowhere() throws Exception {
        Battery battery = own.full("K-92", "T-21");
        begin(battery, ChargeKind.CONVENTIONAL);
        assertThat(AsPerson.tom(mvc).page("/charging")).contains("K-92");
        takeBack(battery, EntryKind.CHARGE_START);
        assertThat(states.stateOf(battery).isCharging()).isFalse();
        assertThat(states.stateOf(battery).full().isYes()).isTrue();
        assertThat(runs.openOf(battery.id())).isEmpty();
    }

    @Test
    void aChargeThatDidNotEndIsNoCycle() throws Exception {
        Battery battery = own.full("K-93", "T-21");
        assertThat(states.stateOf(battery).charging().cycles().onRecord()).isEqualTo(1);
        takeBack(battery, EntryKind.CHARGE_END);
        assertThat(states.stateOf(battery).charging().cycles().onRecord()).isZero();
        assertThat(states.stateOf(battery).isCharging()).isTrue();
        assertThat(runs.openOf(battery.id())).isPresent();
    }

    /** Its run is of its kind, whoever began it. */
    @Test
    void aFirstChargeRunsAsOne() {
        Battery battery = own.full("K-94", "T-21");
        begin(battery, ChargeKind.INITIAL);
        assertThat(runs.openOf(battery.id()).orElseThrow().kind()).isEqualTo(ChargeKind.INITIAL);
    }
}
