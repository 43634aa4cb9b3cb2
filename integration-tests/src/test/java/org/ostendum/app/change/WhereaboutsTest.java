package org.ostendum.app.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryChanges;
import org.ostendum.app.support.OwnBatteries;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** What was where, and which cells a battery has had. */
class WhereaboutsTest extends JobsTest {
    @Autowired
    private OwnBatteries own;

    @Autowired
    private Machines machines;

    @Autowired
    private BatteryChanges changes;

    @Autowired
    private People persons;

    @Autowired
    private TransactionTemplate transaction;

    private void move(Battery battery, Long slot, Long machine) {
        transaction.executeWithoutResult(s -> changes.place(
                batteries.byId(battery.id()).orElseThrow(),
                slot,
                machine,
                persons.byLogin("tom").orElseThrow()));
    }

    @Test
    void aPlaceIsAskedWhatItHeldAndAMachineTellsWhatItHas() throws Exception {
        Battery battery = own.rested("PA" + UUID.randomUUID().toString().substring(0, 5), "T-04");
        String stand = battery.place();
        String truck = "W" + battery.code().substring(2);
        long machine = machines.add(
                new Machine(0, truck, "Test truck", MachineKind.FORKLIFT, null, null, null, "", null, null));
        move(battery, null, machine);
        assertThat(tom.page("/places?find=" + battery.code())).contains(truck).doesNotContain(">" + stand + "<");
        assertThat(tom.page("/places?find=" + battery.code() + "&when=yesterday"))
                .contains(stand);
        assertThat(tom.page("/places?when=tomorrow")).contains("tomorrow", "role=\"alert\"");
        assertThat(tom.page("/machines/" + truck)).contains("What it has had", battery.code(), "in it now");
        move(battery, battery.slotId(), null);
        assertThat(tom.page("/machines/" + truck)).contains(battery.code());
    }

    /** The cells that came with a battery get their identities when somebody reads them; the form goes on along the battery. */
    @Test
    void whatStandsOnACellIsWrittenDownOneAfterTheOther() throws Exception {
        Battery battery = own.rested("PM" + UUID.randomUUID().toString().substring(0, 5), "T-04");
        String page = "/batteries/" + battery.code() + "/cells";
        assertThat(tom.send(page, "place", "7", "serial", "LK-77", "dateCode", "K4")
                        .getRedirectedUrl())
                .isEqualTo(page + "?place=8");
        assertThat(tom.page(page)).contains("LK-77", "K4");
        assertThat(tom.page("/batteries/" + battery.code())).contains("Mark read", "LK-77, K4");
        assertThat(tom.send(page, "place", "7", "serial", " ", "dateCode", "").getContentAsString())
                .contains("Nothing is written");
        assertThat(tom.send(page, "place", "99", "serial", "LK-99", "dateCode", "")
                        .getContentAsString())
                .contains("99", "LK-99");
    }

    @Test
    void aReplacedCellIsToldBesideItsSuccessor() throws Exception {
        Battery battery = own.rested("PC" + UUID.randomUUID().toString().substring(0, 5), "T-04");
        assertThat(tom.page("/batteries/" + battery.code() + "/cells"))
                .contains("came with it")
                .doesNotContain("Gone out");
        tom.send(
                "/batteries/" + battery.code() + "/log",
                "kind",
                "CELL_REPLACED",
                "when",
                "",
                "cell",
                "9",
                "remark",
                "LK-904");
        assertThat(tom.page("/batteries/" + battery.code() + "/cells")).contains("LK-904", "Gone out", "Out on");
    }
}
