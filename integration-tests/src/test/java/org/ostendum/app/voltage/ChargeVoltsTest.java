package org.ostendum.app.voltage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.round.OpenRounds;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.KeyedRound;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.StandingFinding;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** What a verdict asks for can be given: voltages on charge tell why a cell is low. */
class ChargeVoltsTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private OpenRounds openRounds;

    @Autowired
    private BatteryStates states;

    private static StandingFinding lowCell(BatteryState state) {
        return state.findings().stream()
                .filter(f -> f.finding().cells().numbers().equals(List.of(4)))
                .findFirst()
                .orElseThrow();
    }

    private static String[] volts(int cells, String low) {
        List<String> form = new ArrayList<>(List.of("load", "ON_CHARGE"));
        for (int cell = 1; cell <= cells; cell++) {
            form.add("v" + cell);
            form.add(cell == 4 ? low : "2.64");
        }
        return form.toArray(String[]::new);
    }

    @Test
    void aWeakCellIsToldToBeAShortByItsVoltageOnCharge() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        Battery battery = own.full("K-91", "T-21");
        int cells = battery.type().model().cells();
        assertThat(tom.send("/batteries/K-91/volts", volts(cells, "2.30")).getContentAsString())
                .contains("take a round first");
        tom.send("/batteries/K-91/round", "state", "AFTER_EQUALISE");
        KeyedRound round =
                new KeyedRound(tom, openRounds.of(battery.id()).orElseThrow().id());
        for (int cell = 1; cell <= cells; cell++) {
            round.key(cell, "GRAVITY", cell == 4 ? "205" : "283");
        }
        // Doubted at first, as a dropped figure would be; drawn again it is believed.
        tom.send(
                "/rounds/" + round.id() + "/values",
                "key",
                UUID.randomUUID().toString(),
                "cell",
                "4",
                "field",
                "GRAVITY",
                "value",
                "206",
                "base",
                String.valueOf(openRounds.of(battery.id()).orElseThrow().values().stream()
                        .filter(v -> v.cell() == 4)
                        .mapToLong(v -> v.id())
                        .max()
                        .orElseThrow()));
        round.close();
        assertThat(lowCell(states.stateOf(battery)).finding().code()).isEqualTo(FindingCode.CELL_WEAK);

        MockHttpServletResponse kept = tom.send("/batteries/K-91/volts", volts(cells, "2.30"));
        assertThat(kept.getRedirectedUrl()).isEqualTo("/batteries/K-91");
        StandingFinding told = lowCell(states.stateOf(battery));
        assertThat(told.finding().code()).isEqualTo(FindingCode.CELL_SHORT);
        assertThat(told.next()).isEqualTo(NextStep.REPAIR_CELL);
        assertThat(tom.page("/batteries/K-91/ledger")).contains("on charge, at its end");
    }

    /** A voltage that could not be judged is not taken and then forgotten. */
    @Test
    void aCellThatTheRoundHasNotReadIsNamed() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        Battery battery = own.full("K-79", "T-21");
        tom.send("/batteries/K-79/round", "state", "FULL_CHARGE");
        KeyedRound round =
                new KeyedRound(tom, openRounds.of(battery.id()).orElseThrow().id());
        round.key(1, "GRAVITY", "283").close();
        MockHttpServletResponse refused =
                tom.send("/batteries/K-79/volts", "load", "ON_CHARGE", "v1", "2.64", "v4", "2.30");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString())
                .contains("Cell 4 was not read in that round", "value=\"2.64\"", "value=\"2.30\"");
    }
}
