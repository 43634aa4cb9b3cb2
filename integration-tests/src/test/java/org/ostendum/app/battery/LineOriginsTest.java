package org.ostendum.app.battery;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.event.EntryKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** From a line of the ledger back to what it followed from. */
class LineOriginsTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private Ledger ledger;

    private AsPerson tom;
    private Battery battery;

    @BeforeEach
    void batteryAndPerson() {
        tom = AsPerson.tom(mvc);
        battery = own.full("LO" + UUID.randomUUID().toString().substring(0, 5), "T-04");
    }

    private LedgerEntry newest(EntryKind kind) {
        return ledger.ofBattery(battery.id(), null, 1000).stream()
                .filter(line -> line.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private String at(LedgerEntry line) {
        return "/batteries/" + battery.code() + "/ledger/" + line.seq();
    }

    @Test
    void waterFollowedFromTheChargeBeforeIt() throws Exception {
        tom.send("/batteries/" + battery.code() + "/log", "kind", "WATER", "when", "", "quantity", "200");
        assertThat(tom.page(at(newest(EntryKind.WATER))))
                .contains(
                        "It followed from line " + newest(EntryKind.CHARGE_END).seq(),
                        at(newest(EntryKind.CHARGE_END)));
    }

    @Test
    void aTakenBackLineLeadsToTheOneThatTookItAndBack() throws Exception {
        tom.send("/batteries/" + battery.code() + "/log", "kind", "WASH", "when", "");
        LedgerEntry wash = newest(EntryKind.WASH);
        tom.send(at(wash) + "/take-back", "reason", "it was another one");
        LedgerEntry correction = newest(EntryKind.CORRECTION);
        assertThat(tom.page(at(wash))).contains("Line " + correction.seq() + " corrects it", at(correction));
        assertThat(tom.page(at(correction))).contains("It corrects line " + wash.seq(), at(wash));
    }

    @Test
    void theEndOfAJobLeadsToTheJob() throws Exception {
        String job = tom.send("/batteries/" + battery.code() + "/jobs/wash", "looked", "yes")
                .getRedirectedUrl();
        tom.send(job + "/stop", "key", UUID.randomUUID().toString(), "about", "damaged", "value", "");
        assertThat(job).startsWith("/jobs/");
        tom.send(job + "/finish", "key", UUID.randomUUID().toString());
        LedgerEntry line = ledger.ofBattery(battery.id(), null, 1).get(0);
        assertThat(line.payload()).contains("\"job\"");
        assertThat(tom.page(at(line))).contains("Written in the job", "href=\"" + job + "\"");
    }
}
