package org.ostendum.app.aircraft;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.people.Passwords;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.AsPerson;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.people.Role;
import org.springframework.beans.factory.annotation.Autowired;

/** An aircraft's battery from work to signature, and what keeps it out of an aircraft until then. */
class AircraftBenchTest extends JobsTest {
    @Autowired
    private BatteryRecord record;

    @Autowired
    private BatteryStates states;

    @Autowired
    private Signing signing;

    @Autowired
    private People people;

    @Autowired
    private Passwords passwords;

    private AsPerson priya() {
        return new AsPerson(mvc, "priya", "MECHANIC");
    }

    private Battery worked() {
        Battery battery = batteries.byCode("A-4").orElseThrow();
        BatteryEvent charged =
                new BatteryEvent.ChargeEnded(states.instant(), Ending.FULL, Set.of(FullSign.STEADY_VOLTAGE), null);
        record.record(battery, List.of(LedgerEvents.entry(charged, 1, "")));
        return battery;
    }

    @Test
    void unsignedWorkIsNotReleasedAndASignatureReleasesIt() throws Exception {
        Battery battery = worked();
        String address = "/batteries/A-4/aircraft";
        assertThat(tom.page("/batteries/A-4/jobs/issue")).contains("Nobody has signed for the work on A-4");
        assertThat(tom.page(address)).contains("Work on it is not signed for.", "A licensed mechanic signs here.");
        assertThat(tom.send(address + "/sign", "licence", "LM-1", "password", "lanternmoor")
                        .getStatus())
                .isEqualTo(403);
        var wrong = priya().send(address + "/sign", "licence", "LM-4471", "password", "lantern");
        assertThat(wrong.getStatus()).isEqualTo(422);
        assertThat(wrong.getContentAsString())
                .contains("That is not your password", "value=\"LM-4471\"")
                .doesNotContain("value=\"lantern\"");
        assertThat(states.stateOf(battery).unsignedSince()).isNotNull();

        priya().send(address + "/sign", "licence", "LM-4471", "password", "lanternmoor");
        assertThat(states.stateOf(battery).unsignedSince()).isNull();
        assertThat(tom.page("/batteries/A-4/jobs/issue")).doesNotContain("Nobody has signed");
        assertThat(tom.page(address)).contains("LM-4471", "Nothing: every line is signed for.");
        assertThat(signing.of(battery).get(0).holds()).isTrue();
        assertThat(tom.page(address + "/tag")).contains("A-4", "Made");
    }

    /** The signature names the line that it covers: one that is no longer the same is told. */
    @Test
    void aLineChangedAfterwardsBreaksItsSignature() throws Exception {
        Battery battery = worked();
        priya().send("/batteries/A-4/aircraft/sign", "licence", "LM-4471", "password", "lanternmoor");
        Signing.Signature signature = signing.of(battery).get(0);
        assertThat(signature.holds()).isTrue();
        sql.execute("drop trigger ledger_entry_stays");
        try {
            sql.execute(
                    "update ledger_entry set hash = repeat('f', 64) where battery_id = ? and seq = ?",
                    battery.id(),
                    signature.covers());
            assertThat(signing.of(battery).get(0).holds()).isFalse();
            assertThat(tom.page("/batteries/A-4/aircraft")).contains("no longer the one that was signed");
        } finally {
            sql.execute(
                    "update ledger_entry set hash = ? where battery_id = ? and seq = ?",
                    signature.seal(),
                    battery.id(),
                    signature.covers());
            sql.execute("create trigger ledger_entry_stays before update on ledger_entry for each row "
                    + "signal sqlstate '45000' set message_text = 'The ledger is append-only: write a correction'");
        }
    }

    @Test
    void benchWorkIsKeptAndWrongLinesAreTold() throws Exception {
        String address = "/batteries/A-1/aircraft";
        tom.send(address + "/regulator", "volts", "31");
        assertThat(tom.page("/batteries/A-1/ledger")).contains("It boils the battery");
        tom.send(
                address + "/conversion",
                "data",
                "STC 4471",
                "deactivated",
                "Temperature plug",
                "done-by",
                "Priya Sandhu, LM-4471");
        assertThat(tom.page("/batteries/A-1/ledger")).contains("Converted by STC 4471");
        var wrong = tom.send(address + "/hours", "csv", "aircraft,date,hours\nK1,yesterday,2\nZ9,2026-11-20,1\n");
        assertThat(wrong.getStatus()).isEqualTo(422);
        assertThat(wrong.getContentAsString()).contains("yesterday", "K1,yesterday,2");
        assertThat(tom.send(address + "/hours", "csv", "aircraft,date,hours\nK1,2026-11-20,1.5\n")
                        .getStatus())
                .isEqualTo(302);
        assertThat(tom.send("/batteries/T-02/aircraft/regulator", "volts", "x").getStatus())
                .isEqualTo(404);
    }

    /** Below 24 of its 30 minutes it is conditioned, which no other battery is. */
    @Test
    void conditioningIsOfferedToAircraftAlone() throws Exception {
        assertThat(tom.page("/batteries/A-1/aircraft")).contains("/batteries/A-1/jobs/condition-aircraft");
        assertThat(tom.page("/batteries/A-1/jobs")).contains("Condition an aircraft battery");
        assertThat(tom.page("/batteries/A-1/jobs/condition-aircraft")).contains("24 of 30 minutes");
        assertThat(tom.page("/batteries/T-04/jobs")).doesNotContain("Condition an aircraft battery");
    }

    /** A figure said anew leaves the first readable where the aircraft's battery has its past. */
    @Test
    void hoursSaidAnewLeaveTheFirstFigureInTheLedger() throws Exception {
        String address = "/batteries/A-1/aircraft/hours";
        Object slot = sql.fetchValue("select slot_id from battery where code = 'A-1'");
        String lines = "aircraft,date,hours\nK1,2026-10-02,%s\n";
        sql.execute("update battery set slot_id = null, machine_id = (select id from machine where code = 'K1')"
                + " where code = 'A-1'");
        try {
            tom.send(address, "csv", lines.formatted("1.5"));
            tom.send(address, "csv", lines.formatted("1.5"));
            assertThat(tom.page("/batteries/A-1/ledger")).doesNotContain("said anew");
            tom.send(address, "csv", lines.formatted("2.5"));
            assertThat(tom.page("/batteries/A-1/ledger")).contains("2.5 h, said anew; it was 1.5 h");
        } finally {
            sql.execute("update battery set machine_id = null, slot_id = ? where code = 'A-1'", slot);
        }
    }

    /** Whoever sits at another's open session may not guess his password here: after five wrong ones the right one does not help. */
    @Test
    void guessesAtThePasswordAreCounted() throws Exception {
        Battery battery = worked();
        people.add("wrench", "Wren Chalmers", Role.MECHANIC, passwords.hash("nine brown otters"));
        AsPerson wren = new AsPerson(mvc, "wrench", "MECHANIC");
        for (int i = 0; i < 5; i++) {
            wren.send("/batteries/A-4/aircraft/sign", "licence", "LM-4471", "password", "guess" + i);
        }
        var right = wren.send("/batteries/A-4/aircraft/sign", "licence", "LM-4471", "password", "nine brown otters");
        assertThat(right.getStatus()).isEqualTo(422);
        assertThat(right.getContentAsString()).contains("Too many wrong passwords", "value=\"LM-4471\"");
        assertThat(states.stateOf(battery).unsignedSince()).isNotNull();
    }
}
