package org.ostendum.app.round;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.PastCheck;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.KeyedRound;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.state.BatteryState;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** Anything wrong with a round can be put right, and everything that followed from it follows anew. */
class CorrectRoundTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private OpenRounds openRounds;

    @Autowired
    private Rounds rounds;

    @Autowired
    private Ledger ledger;

    @Autowired
    private BatteryStates states;

    @Autowired
    private PastCheck past;

    private AsPerson tom;

    @BeforeEach
    void people() {
        tom = AsPerson.tom(mvc);
    }

    private KeyedRound begin(Battery battery) throws Exception {
        tom.send("/batteries/" + battery.code() + "/round", "state", "FULL_CHARGE");
        return new KeyedRound(tom, openRounds.of(battery.id()).orElseThrow().id());
    }

    private KeyedRound even(Battery battery) throws Exception {
        KeyedRound round = begin(battery).key(0, "TEMPERATURE", "25");
        for (int cell = 1; cell <= battery.type().model().cells(); cell++) {
            round.key(cell, "GRAVITY", "283");
        }
        return round;
    }

    private BatteryState state(Battery battery) {
        return states.stateOf(battery);
    }

    @Test
    void platesThatWereThoughtToShowOpenTheGateAgain() throws Exception {
        Battery battery = own.full("K-81", "T-21");
        even(battery).key(3, "LEVEL", "EXPOSED").close();
        assertThat(state(battery).levels().bare()).containsExactly(3);

        String form = tom.page("/batteries/K-81/correct?cell=3");
        assertThat(form).contains("value=\"EXPOSED\" selected");
        assertThat(tom.sendFrom(
                                "/batteries/K-81/correct?cell=3",
                                "/batteries/K-81/correct",
                                "cell",
                                "3",
                                "value",
                                "",
                                "level",
                                "RIGHT",
                                "reason",
                                "looked into the next one")
                        .getStatus())
                .isEqualTo(302);
        assertThat(state(battery).levels().bare()).isEmpty();
        assertThat(tom.page("/batteries/K-81/ledger")).contains("looked into the next one", "plates showing");
        assertThat(past.check(battery.id()).isWhole()).isTrue();
    }

    @Test
    void theStateAndTemperatureOfARoundArePutRight() throws Exception {
        Battery battery = own.full("K-82", "T-21");
        even(battery).close();
        LedgerEntry line = ledger.ofBattery(battery.id(), null, 5).stream()
                .filter(entry -> entry.kind() == EntryKind.ROUND)
                .findFirst()
                .orElseThrow();
        String at = "/batteries/K-82/correct/round";
        String[] right = {
            "line",
            String.valueOf(line.seq()),
            "state",
            "AFTER_EQUALISE",
            "temperature",
            "31",
            "reason",
            "it was equalised"
        };
        assertThat(tom.page("/batteries/K-82/ledger/" + line.seq())).contains(at);
        assertThat(tom.sendFrom(at, at, right).getStatus()).isEqualTo(302);
        var round = rounds.history(battery.id(), 1).get(0).past().round();
        assertThat(round.state()).isEqualTo(RoundState.AFTER_EQUALISE);
        assertThat(round.temperature()).isEqualTo(Celsius.of(31));
        assertThat(tom.sendFrom(at, at, right).getContentAsString()).contains("on record already");
        assertThat(past.check(battery.id()).isWhole()).isTrue();
    }

    @Test
    void whatCannotBeIsRefusedAndStaysTyped() throws Exception {
        Battery battery = own.full("K-83", "T-21");
        even(battery).close();
        MockHttpServletResponse refused =
                tom.send("/batteries/K-83/correct/round", "state", "REST", "temperature", "900", "reason", "a slip");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString()).contains("value=\"900\"", "value=\"a slip\"", "80");
        MockHttpServletResponse none =
                tom.send("/batteries/K-83/correct", "cell", "2", "value", "284", "level", "", "reason", "x");
        assertThat(none.getStatus()).isEqualTo(422);
        assertThat(none.getContentAsString()).contains("value=\"284\"", "Say in a few words");
        assertThat(rounds.history(battery.id(), 1).get(0).past().round().state())
                .isEqualTo(RoundState.FULL_CHARGE);
    }

    @Test
    void anOpenRoundIsDiscardedWithAReason() throws Exception {
        Battery battery = own.full("K-84", "T-21");
        KeyedRound round = begin(battery).key(1, "GRAVITY", "195");
        String at = "/rounds/" + round.id() + "/discard";
        tom.send(at);
        assertThat(openRounds.of(battery.id())).as("without a reason").isPresent();
        tom.send(at, "reason", "the wrong tray");
        assertThat(openRounds.of(battery.id())).isEmpty();
        assertThat(rounds.history(battery.id(), 5)).isEmpty();
        assertThat(state(battery).findings()).isEmpty();
        assertThat(tom.page("/batteries/K-84/ledger")).contains("the wrong tray", "one cell read was discarded");
        begin(battery);
        assertThat(openRounds.of(battery.id()).orElseThrow().values()).isEqualTo(List.of());
    }

    /** Also a look without a gravity was typed and seen accepted. */
    @Test
    void whatWasOnlyLookedAtLeavesItsLineToo() throws Exception {
        Battery battery = own.full("K-80", "T-21");
        KeyedRound round = begin(battery).key(2, "LEVEL", "LOW");
        tom.send("/rounds/" + round.id() + "/discard", "reason", "the wrong tray");
        assertThat(openRounds.of(battery.id())).isEmpty();
        assertThat(tom.page("/batteries/K-80/ledger")).contains("the wrong tray", "no cell read was discarded");
    }
}
