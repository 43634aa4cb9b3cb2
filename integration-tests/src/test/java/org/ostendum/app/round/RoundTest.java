package org.ostendum.app.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.state.PastCheck;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.rulebook.Severity;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

class RoundTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private Rounds rounds;

    @Autowired
    private OpenRounds openRounds;

    @Autowired
    private Ledger ledger;

    @Autowired
    private BatteryStates batteryStates;

    @Autowired
    private People people;

    @Autowired
    private PastCheck past;

    private OpenRound begin(String code, RoundState state) {
        Battery battery = batteries.byCode(code).orElseThrow();
        openRounds.begin(battery.id(), people.byLogin("tom").orElseThrow().id(), state, null);
        return openRounds.of(battery.id()).orElseThrow();
    }

    private MockHttpServletResponse perform(String login, MockHttpServletRequestBuilder request) throws Exception {
        return mvc.perform(request.with(user(login).roles("TECHNICIAN")).with(csrf()))
                .andReturn()
                .getResponse();
    }

    private MockHttpServletResponse send(
            String login, long round, String key, int cell, String field, String value, long base) throws Exception {
        return perform(
                login,
                post("/rounds/" + round + "/values")
                        .param("key", key)
                        .param("cell", String.valueOf(cell))
                        .param("field", field)
                        .param("value", value)
                        .param("base", String.valueOf(base)));
    }

    private MockHttpServletResponse send(String login, long round, int cell, String value) throws Exception {
        return send(login, round, UUID.randomUUID().toString(), cell, "GRAVITY", value, 0);
    }

    @Test
    void aWholeRoundIsKeptJudgedAndWrittenDown() throws Exception {
        Battery battery = own.full("ROUND-1", "T-19");
        OpenRound round = begin("ROUND-1", RoundState.AFTER_EQUALISE);
        int cells = battery.type().model().cells();
        send("tom", round.id(), UUID.randomUUID().toString(), 0, "TEMPERATURE", "25", 0);
        for (int cell = 1; cell <= cells; cell++) {
            String value = cell == 5 ? "195" : "285";
            assertThat(send("tom", round.id(), cell, value).getStatus()).isEqualTo(200);
        }
        String again = send("tom", round.id(), UUID.randomUUID().toString(), 5, "GRAVITY", "196", latest(round.id(), 5))
                .getContentAsString();
        assertThat(again).contains("cell 5 is failing");
        assertThat(perform("tom", post("/rounds/" + round.id() + "/close")).getRedirectedUrl())
                .isEqualTo("/batteries/ROUND-1");

        var state = batteryStates.stateOf(battery);
        assertThat(state.verdict().severity()).isEqualTo(Severity.STOP);
        assertThat(state.verdict().findings()).extracting(f -> f.code()).contains(FindingCode.CELL_WEAK);
        assertThat(state.verdict().next()).isEqualTo(NextStep.REPAIR_CELL);
        LedgerEntry line = ledger.ofBattery(battery.id(), null, 1).get(0);
        assertThat(line.kind()).isEqualTo(EntryKind.ROUND);
        assertThat(Payload.read(line.payload())
                        .at("/verdict/findings/0/rules/CELL_BELOW_MEDIAN")
                        .asInt())
                .isEqualTo(50);
        ClosedRound closed = rounds.history(battery.id(), 1).get(0);
        assertThat(closed.coverage()).isEqualTo(Coverage.WHOLE);
        assertThat(closed.past().round().readings()).hasSize(cells);
        assertThat(mvc.perform(get("/rooms/" + OwnBatteries.ROOM)
                                .with(user("tom").roles("TECHNICIAN")))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .contains("Hold ROUND-1");
        assertThat(past.check(battery.id()).isWhole()).isTrue();
    }

    private long latest(long roundId, int cell) {
        return openRounds.byId(roundId).orElseThrow().values().stream()
                .filter(v -> v.cell() == cell)
                .reduce((a, b) -> b)
                .orElseThrow()
                .id();
    }

    @Test
    void aValueSentTwiceIsKeptOnce() throws Exception {
        OpenRound round = begin("T-12", RoundState.FULL_CHARGE);
        String key = UUID.randomUUID().toString();
        assertThat(send("tom", round.id(), key, 1, "GRAVITY", "281", 0).getStatus())
                .isEqualTo(200);
        assertThat(send("tom", round.id(), key, 1, "GRAVITY", "281", 0).getStatus())
                .isEqualTo(200);
        assertThat(openRounds.byId(round.id()).orElseThrow().values()).hasSize(1);
    }

    @Test
    void nobodyOverwritesAnotherUnknowingly() throws Exception {
        OpenRound round = begin("T-17", RoundState.FULL_CHARGE);
        send("tom", round.id(), 1, "281");
        MockHttpServletResponse answer = send("ines", round.id(), 1, "255");
        assertThat(answer.getStatus()).isEqualTo(409);
        assertThat(answer.getContentAsString()).contains("Tom Brackett", "Cell 1");
        long seen = Long.parseLong(answer.getHeader("X-Base"));
        assertThat(send("ines", round.id(), UUID.randomUUID().toString(), 1, "GRAVITY", "255", seen)
                        .getStatus())
                .isEqualTo(200);
        assertThat(perform("tom", get("/rounds/" + round.id() + "/board")).getContentAsString())
                .contains("Ines Halloway", "1.255");
        assertThat(openRounds.byId(round.id()).orElseThrow().values()).hasSize(2);
    }

    @ParameterizedTest
    @CsvSource({
        "GRAVITY, 999, 1.000 to 1.400",
        "GRAVITY, 12, Key 3 digits",
        "GRAVITY, x<b>, Key 3 digits",
        "TEMPERATURE, 250, right unit",
        "TEMPERATURE, warm, right unit"
    })
    void whatCannotBeIsRefusedWithTheRange(String field, String value, String told) throws Exception {
        OpenRound round = begin("T-29", RoundState.FULL_CHARGE);
        MockHttpServletResponse answer =
                send("tom", round.id(), UUID.randomUUID().toString(), 1, field, value, 0);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(value, told);
        assertThat(answer.getContentType()).startsWith("text/plain");
        assertThat(openRounds.byId(round.id()).orElseThrow().values()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0, 422", "25, 422", "-1, 422"})
    void aCellThatIsNotThereIsRefused(int cell, int status) throws Exception {
        OpenRound round = begin("T-30", RoundState.FULL_CHARGE);
        int sent = cell == 0 ? 13 : cell;
        assertThat(send("tom", round.id(), sent, "281").getStatus()).isEqualTo(status);
    }

    @Test
    void aPartialRoundIsMarkedAndAnEmptyOneStaysOpen() throws Exception {
        OpenRound round = begin("P-3", RoundState.FULL_CHARGE);
        perform("tom", post("/rounds/" + round.id() + "/close"));
        assertThat(openRounds.byId(round.id())).isPresent();
        send("tom", round.id(), 1, "270");
        perform("tom", post("/rounds/" + round.id() + "/close"));
        assertThat(openRounds.byId(round.id())).isEmpty();
        assertThat(rounds.history(round.batteryId(), 1).get(0).coverage()).isEqualTo(Coverage.PARTIAL);
        assertThat(send("tom", round.id(), 2, "270").getStatus()).isEqualTo(410);
    }

    @Test
    void aPilotRoundAsksForItsCellAlone() throws Exception {
        Battery battery = batteries.byCode("P-4").orElseThrow();
        perform(
                "tom",
                post("/batteries/P-4/round").param("state", "FULL_CHARGE").param("pilot", "7"));
        OpenRound round = openRounds.of(battery.id()).orElseThrow();
        assertThat(perform("tom", get("/batteries/P-4/round")).getContentAsString())
                .contains("data-next=\"7\"");
        send("tom", round.id(), 7, "272");
        perform("tom", post("/rounds/" + round.id() + "/close"));
        assertThat(rounds.history(battery.id(), 1).get(0).coverage()).isEqualTo(Coverage.PILOT);
    }

    @Test
    void aCorrectionIsANewLineAndTheOldStays() throws Exception {
        Battery battery = batteries.byCode("T-05").orElseThrow();
        assertThat(batteryStates.stateOf(battery).verdict().findings())
                .extracting(f -> f.code())
                .contains(FindingCode.READING_IMPOSSIBLE);
        MockHttpServletResponse answer = perform(
                "tom",
                post("/batteries/T-05/correct")
                        .param("cell", "12")
                        .param("seen", AsPerson.tom(mvc).seen("/batteries/T-05/correct?cell=12"))
                        .param("value", "286")
                        .param("reason", "a digit slipped"));
        assertThat(answer.getRedirectedUrl()).isEqualTo("/batteries/T-05");
        assertThat(batteryStates.stateOf(battery).verdict().findings())
                .extracting(f -> f.code())
                .doesNotContain(FindingCode.READING_IMPOSSIBLE);
        List<LedgerEntry> lines = ledger.ofBattery(battery.id(), null, 60);
        LedgerEntry correction = lines.get(0);
        assertThat(correction.kind()).isEqualTo(EntryKind.CORRECTION);
        assertThat(lines)
                .filteredOn(l -> l.seq() == correction.correctsSeq())
                .extracting(LedgerEntry::kind, LedgerEntry::correctedBySeq)
                .containsExactly(tuple(EntryKind.ROUND, correction.seq()));
        assertThat(past.check(battery.id()).isWhole()).isTrue();
    }

    @Test
    void aCorrectionWithoutReasonLosesNothingTyped() throws Exception {
        MockHttpServletResponse answer = perform(
                "tom",
                post("/batteries/T-08/correct")
                        .param("cell", "2")
                        .param("value", "2999")
                        .param("reason", ""));
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains("value=\"2999\"", "Say in a few words");
    }
}
