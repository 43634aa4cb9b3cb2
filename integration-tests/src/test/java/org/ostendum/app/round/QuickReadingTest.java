package org.ostendum.app.round;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.Coverage;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** One figure or several, read in passing. */
class QuickReadingTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private Rounds rounds;

    @Autowired
    private Ledger ledger;

    private AsPerson tom;
    private Battery battery;

    @BeforeEach
    void batteryAndPerson() {
        tom = AsPerson.tom(mvc);
        battery = own.full("QR" + UUID.randomUUID().toString().substring(0, 5), "T-04");
    }

    private MockHttpServletResponse read(String... fields) throws Exception {
        return tom.send("/batteries/" + battery.code() + "/reading", fields);
    }

    private int lines() {
        return ledger.ofBattery(battery.id(), null, 1000).size();
    }

    @Test
    void oneCellIsARoundOfAPilotCell() throws Exception {
        int before = rounds.history(battery.id(), 100).size();
        read("cell", "5", "gravity", "281", "temperature", "24", "state", "FULL_CHARGE");
        assertThat(rounds.history(battery.id(), 100)).hasSize(before + 1);
        ClosedRound last = rounds.history(battery.id(), 1).get(0);
        assertThat(last.coverage()).isEqualTo(Coverage.PILOT);
        assertThat(last.past().round().readings()).singleElement().satisfies(reading -> {
            assertThat(reading.cell()).isEqualTo(5);
            assertThat(reading.gravity().points()).isEqualTo(1281);
        });
        assertThat(last.past().round().temperature().degrees()).isEqualTo(24);
    }

    @Test
    void levelDrawnOffAndTemperatureAreLinesOfTheirOwn() throws Exception {
        int before = lines();
        read("cell", "5", "level", "12", "drawn", "20", "temperature", "31");
        assertThat(ledger.ofBattery(battery.id(), null, lines() - before))
                .extracting(entry -> entry.kind())
                .containsExactlyInAnyOrder(EntryKind.LEVEL, EntryKind.DREW_OFF, EntryKind.TEMPERATURE);
    }

    /** What is wrong is told beside its field, and of the rest nothing is written. */
    @Test
    void allOfItOrNothing() throws Exception {
        int before = lines();
        MockHttpServletResponse refused = read("cell", "99", "gravity", "2.5", "level", "9999", "state", "FULL_CHARGE");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString()).contains("99", "2.5", "9999");
        assertThat(lines()).isEqualTo(before);
        assertThat(read("state", "FULL_CHARGE").getContentAsString()).contains("Nothing is typed");
        assertThat(read("gravity", "281", "cell", "3").getStatus())
                .as("no state")
                .isEqualTo(422);
        assertThat(lines()).isEqualTo(before);
    }

    @Test
    void anOpenRoundTakesTheCellItself() throws Exception {
        tom.send("/batteries/" + battery.code() + "/round", "state", "FULL_CHARGE");
        assertThat(read("cell", "5", "gravity", "281", "state", "FULL_CHARGE").getContentAsString())
                .contains("is open: type this cell there");
    }
}
