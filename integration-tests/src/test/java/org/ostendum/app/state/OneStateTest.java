package org.ostendum.app.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.util.HashSet;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** What the API, the pages, the lists and the gates say of every battery of the demo at one moment, held against each other. */
class OneStateTest extends ApplicationTest {
    /** The one big button of a page. */
    private static final Pattern ACTION = Pattern.compile("<a [^>]*class=\"action\"[^>]*href=\"([^\"]+)\"");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    private static final Pattern SHUT_GATE =
            Pattern.compile("aria-label=\"shut\">.*?<span><span>([^<]+)</span>", Pattern.DOTALL);

    /** What no battery can do for. */
    private static final String ROOM_GATE = "Eyewash, shower, kit and fan ready";

    /** The same gate before a round. */
    private static final String TO_THE_STATIONS = "Go to the stations";

    private JsonNode state(String code) throws Exception {
        return Payload.read(mvc.perform(get("/api/v1/batteries/" + code).with(httpBasic("maud", "lanternmoor")))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private static Set<String> steps(JsonNode state) {
        Set<String> steps = new HashSet<>();
        state.path("next").forEach(next -> steps.add(next.path("step").asString()));
        return steps;
    }

    /** Of the rows of the walk those that are to be watered now. */
    private static Set<String> toWater(String walk) {
        return Pattern.compile("data-wants=\"WATER\".*?<b>([^<]+)</b>", Pattern.DOTALL)
                .matcher(walk)
                .results()
                .map(row -> row.group(1))
                .collect(Collectors.toSet());
    }

    private static Set<String> shutGates(String page) {
        return SHUT_GATE.matcher(page).results().map(gate -> gate.group(1)).collect(Collectors.toSet());
    }

    @Test
    void noListContradictsTheState() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        Set<String> onTheWalk = toWater(tom.page("/watering"));
        Set<String> sentTo = new HashSet<>();
        for (Battery battery : batteries.all()) {
            String code = battery.code();
            JsonNode state = state(code);
            Set<String> steps = steps(state);
            boolean charging = !state.path("charging").isNull();
            String full = state.path("full").path("value").asString();
            assertThat(steps)
                    .as(code + " is " + full + " and charging: " + charging)
                    .satisfies(s -> {
                        assertThat(s.contains("charge") && s.contains("water")).isFalse();
                        assertThat(s.contains("charge") && (charging || full.equals("yes")))
                                .isFalse();
                        assertThat(s.contains("water") && !full.equals("yes")).isFalse();
                        assertThat(s.contains("equalise") && full.equals("no")).isFalse();
                    });
            assertThat(onTheWalk.contains(code))
                    .as(code + " on the walk, its next steps: " + steps)
                    .isEqualTo(steps.contains("water"));
            String page = tom.page("/batteries/" + code);
            assertThat(page.contains("/batteries/" + code + "/jobs/water\"") && !full.equals("yes"))
                    .as("the page of " + code + " offers water")
                    .isFalse();
            Matcher first = ACTION.matcher(page);
            if (first.find()) {
                sentTo.add(first.group(1));
                String behind = tom.page(first.group(1));
                assertThat(shutGates(behind))
                        .as("what the page of " + code + " sends one to")
                        .isSubsetOf(ROOM_GATE);
                if (first.group(1).endsWith("/round") && !behind.contains(TO_THE_STATIONS)) {
                    assertThat(behind)
                            .as("the round of " + code)
                            .containsAnyOf("action=\"" + first.group(1) + "\"", "data-own-keys");
                }
            }
        }
        assertThat(sentTo).as("pages whose button was pressed").hasSizeGreaterThan(5);
    }

    @Test
    void theGatesOfThePageAreTheGatesOfTheState() throws Exception {
        AsPerson maud = AsPerson.maud(mvc);
        for (String code : new String[] {"T-03", "T-05", "T-07", "T-13", "T-22", "G-03", "G-09", "P-5", "A-5"}) {
            for (JsonNode gate : state(code).path("gates")) {
                String job = gate.path("job").asString();
                if (gate.path("state").asString().equals("shut")
                        && Set.of("charge", "water", "equalise").contains(job)) {
                    String page = maud.page("/batteries/" + code + "/jobs/" + job);
                    assertThat(page).as(code + " " + job + " " + gate).contains("A gate is shut");
                    MockHttpServletResponse begun = maud.send("/batteries/" + code + "/jobs/" + job);
                    assertThat(begun.getStatus()).as(code + " " + job).isEqualTo(422);
                }
            }
        }
    }
}
