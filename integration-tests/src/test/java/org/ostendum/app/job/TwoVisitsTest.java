package org.ostendum.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.EntryKind;
import org.springframework.beans.factory.annotation.Autowired;

/** Bare plates: covered, charged, filled; one job, and the charge between its two visits. */
class TwoVisitsTest extends JobsTest {
    private static final String BATTERY = "T-27";

    @Autowired
    private ChargeRuns runs;

    private List<EntryKind> newest(int count) {
        return ledger.ofBattery(battery(BATTERY).id(), null, count).stream()
                .map(LedgerEntry::kind)
                .toList();
    }

    @Test
    void theSecondVisitWaitsForTheCharge() throws Exception {
        long job = begin(tom, BATTERY, "cover-charge-fill", "charger", "none");
        say(tom, job, "done", "pour", "");
        say(tom, job, "done", "covered", "1500");
        assertThat(newest(1)).containsExactly(EntryKind.WATER);
        say(tom, job, "done", "open", "");
        say(tom, job, "done", "warm", "hand-warm");
        say(tom, job, "done", "match", "agree");
        say(tom, job, "done", "plug", "");
        say(tom, job, "done", "on", "starts");
        assertThat(newest(1)).containsExactly(EntryKind.CHARGE_START);
        assertThat(runs.openOf(battery(BATTERY).id()).map(ChargeRun::kind)).contains(ChargeKind.CONVENTIONAL);

        String early = say(tom, job, "done", "read", "").getContentAsString();
        assertThat(early).contains("it is watered when that has ended").contains("Second visit");

        tom.send("/batteries/" + BATTERY + "/log", "kind", "CHARGE_END", "quantity", "300", "ending", "steady_voltage");
        assertThat(runs.openOf(battery(BATTERY).id())).isEmpty();
        say(tom, job, "done", "read", "");
        say(tom, job, "done", "fill", "");
        say(tom, job, "done", "filled", "2400");
        say(tom, job, "done", "caps", "");
        say(tom, job, "finish", "", "");

        LedgerEntry last = ledger.ofBattery(battery(BATTERY).id(), null, 1).get(0);
        assertThat(last.kind()).isEqualTo(EntryKind.WATER);
        assertThat(last.quantity()).isEqualByComparingTo("2400");
    }
}
