package org.ostendum.app.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.time.Duration;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.db.Payload;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** What contradicted itself once, told as an event and looked at in the state, the gates and the pages. */
class SeenFaultsTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    private MockHttpServletResponse tell(String code, String event) throws Exception {
        String at = "\"at\": \"" + TestClock.now().minus(Duration.ofMinutes(1)) + "\", ";
        return mvc.perform(post("/api/v1/batteries/" + code + "/events")
                        .with(httpBasic("tom", "lanternmoor"))
                        .contentType("application/json")
                        .content("{\"key\": \"" + UUID.randomUUID() + "\", \"events\": [{" + at + event + "}]}"))
                .andReturn()
                .getResponse();
    }

    private void told(String code, String event) throws Exception {
        MockHttpServletResponse answer = tell(code, event);
        assertThat(answer.getStatus()).as(answer.getContentAsString()).isEqualTo(200);
    }

    private JsonNode state(String code) throws Exception {
        return Payload.read(mvc.perform(get("/api/v1/batteries/" + code).with(httpBasic("vera", "lanternmoor")))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private static String gate(JsonNode state, String job, String gate) {
        for (JsonNode line : state.path("gates")) {
            if (line.path("job").asString().equals(job)
                    && line.path("gate").asString().equals(gate)) {
                return line.path("state").asString();
            }
        }
        return "not asked";
    }

    private static boolean asks(JsonNode state, String step) {
        for (JsonNode next : state.path("next")) {
            if (next.path("step").asString().equals(step)) {
                return true;
            }
        }
        return false;
    }

    @Test
    void whatWasDrawnOffStandsNoLongerOverTheMark() throws Exception {
        String code = own.full("K-66", "T-21").code();
        told(code, "\"type\": \"level\", \"quantity\": 34, \"unit\": \"mm\", \"cell\": 2");
        assertThat(asks(state(code), "draw_off")).isTrue();
        assertThat(asks(state(code), "water")).isFalse();
        assertThat(gate(state(code), "charge", "not_over_mark")).isEqualTo("shut");
        told(code, "\"type\": \"drew_off\", \"quantity\": 250, \"unit\": \"ml\", \"cell\": 2");
        assertThat(asks(state(code), "draw_off")).isFalse();
        assertThat(gate(state(code), "charge", "not_over_mark")).isEqualTo("open");
    }

    @Test
    void aHotBatteryIsCooledAndNotCharged() throws Exception {
        String code = own.full("K-67", "T-21").code();
        told(code, "\"type\": \"temperature\", \"quantity\": 55, \"unit\": \"°C\"");
        JsonNode state = state(code);
        assertThat(asks(state, "cool")).isTrue();
        assertThat(gate(state, "charge", "not_hot")).isEqualTo("shut");
        assertThat(state.path("cooling").isNull()).isFalse();
        assertThat(AsPerson.tom(mvc).page("/charging")).contains(code);
    }

    @Test
    void whatStoodFlatIsNotFullAndIsCharged() throws Exception {
        String code = own.full("K-68", "T-21").code();
        told(code, "\"type\": \"standing_flat\", \"quantity\": 48, \"unit\": \"h\"");
        JsonNode state = state(code);
        assertThat(state.at("/full/value").asString()).isEqualTo("no");
        assertThat(state.at("/stateOfCharge/high").asDouble()).isLessThan(0.2);
        assertThat(asks(state, "charge")).isTrue();
        assertThat(AsPerson.tom(mvc).page("/batteries/" + code)).doesNotContain("it is full now");
    }

    @ParameterizedTest
    @CsvSource({
        "K-69, loose_lug, charge, undamaged|sound_for_charge",
        "K-70, cable_worn, charge, undamaged|sound_for_charge",
        "K-71, connector_worn, charge, undamaged|sound_for_charge"
    })
    void aDefectShowsOnItsPageItsTileAndInItsGates(String code, String kind, String job, String gates)
            throws Exception {
        own.full(code, "T-21");
        AsPerson tom = AsPerson.tom(mvc);
        String before = tom.page("/rooms/" + OwnBatteries.ROOM);
        told(code, "\"type\": \"defect\", \"kind\": \"" + kind + "\"");
        JsonNode state = state(code);
        assertThat(gates.split("\\|")).anyMatch(gate -> gate(state, job, gate).equals("shut"));
        assertThat(asks(state, "right_defect")).isTrue();
        assertThat(tom.send("/batteries/" + code + "/jobs/charge").getContentAsString())
                .contains("A gate is shut");
        assertThat(tile(tom.page("/rooms/" + OwnBatteries.ROOM), code)).isNotEqualTo(tile(before, code));
    }

    /** A loose lug sparks, and what it charges makes gas: nobody waits for the end of the charge. */
    @Test
    void aDefectFoundOnChargeEndsTheCharge() throws Exception {
        String code = own.rested("K-73", "T-21").code();
        told(code, "\"type\": \"charge_start\"");
        told(code, "\"type\": \"defect\", \"kind\": \"loose_lug\"");
        AsPerson tom = AsPerson.tom(mvc);
        assertThat(tom.page("/batteries/" + code))
                .contains("and it is on charge: charger off first")
                .as("what is most urgent stands at the head, not what the readings tell")
                .containsPattern("<h2 class=\"verdict\">Put right what was found on " + code);
        assertThat(tile(tom.page("/rooms/" + OwnBatteries.ROOM), code)).contains("defect");
        assertThat(tom.page("/batteries/" + code + "/charge"))
                .contains("End the charge of " + code + " now", "and it is on charge: charger off first")
                .doesNotContain("Not full yet.");
        assertThat(row(tom.page("/fleet"), code))
                .contains("and it is on charge: charger off first")
                .as("a defect is no cell past its limit")
                .doesNotContain("<b>now</b>");
        assertThat(row(tom.page("/charging"), code))
                .contains("and it is on charge: charger off first")
                .as("what is to be ended is not foretold to be full")
                .doesNotContain("of its charges", "by the charger’s plate");
        assertThat(tom.page("/charging/several?find=" + code))
                .contains("End it now", "and it is on charge: charger off first");
    }

    private static String row(String page, String code) {
        int at = page.indexOf(">" + code + "</");
        assertThat(at).as(code).isPositive();
        return page.substring(page.lastIndexOf("<tr", at), page.indexOf("</tr>", at));
    }

    private static String tile(String room, String code) {
        int at = room.indexOf("href=\"/batteries/" + code + "\"");
        int label = room.indexOf("aria-label=\"", at) + "aria-label=\"".length();
        return room.substring(label, room.indexOf('"', label));
    }

    @Test
    void moreCannotComeOutThanIsIn() throws Exception {
        String code = own.full("K-72", "T-21").code();
        MockHttpServletResponse refused = tell(code, "\"type\": \"discharge\", \"quantity\": 9999, \"unit\": \"Ah\"");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString()).contains("quantity");
        assertThat(state(code).at("/full/value").asString()).isEqualTo("yes");
    }
}
