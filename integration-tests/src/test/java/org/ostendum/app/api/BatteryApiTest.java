package org.ostendum.app.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.TestClock;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** One battery over the API: what happened goes in, what follows comes out, and the pages say the same. */
class BatteryApiTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Ledger ledger;

    private MockHttpServletResponse send(String code, String key, String events) throws Exception {
        return mvc.perform(post("/api/v1/batteries/" + code + "/events")
                        .with(httpBasic("tom", "lanternmoor"))
                        .contentType("application/json")
                        .content("{\"key\": \"" + key + "\", \"events\": [" + events + "]}"))
                .andReturn()
                .getResponse();
    }

    private MockHttpServletResponse send(String code, String events) throws Exception {
        return send(code, UUID.randomUUID().toString(), events);
    }

    private JsonNode state(String code) throws Exception {
        return Payload.read(mvc.perform(get("/api/v1/batteries/" + code).with(httpBasic("vera", "lanternmoor")))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private static String at(int minutesAgo) {
        return "\"at\": \"" + TestClock.now().minus(Duration.ofMinutes(minutesAgo)) + "\"";
    }

    private static String gate(JsonNode state, String job, String gate) {
        for (JsonNode line : state.path("gates")) {
            if (line.path("job").asString().equals(job)
                    && line.path("gate").asString().equalsIgnoreCase(gate)) {
                return line.path("state").asString();
            }
        }
        return "not asked";
    }

    /** Current was on, and that is all: nobody calls it full. */
    @Test
    void aChargeStoppedAtFiftyOneDegreesIsNotFullAnywhere() throws Exception {
        assertThat(send(
                                "T-06",
                                "{\"type\": \"charge_start\", " + at(30) + "},"
                                        + "{\"type\": \"temperature\", " + at(20)
                                        + ", \"quantity\": 51, \"unit\": \"°C\"},"
                                        + "{\"type\": \"charge_end\", " + at(15)
                                        + ", \"how\": \"stopped\", \"quantity\": 0.1}")
                        .getStatus())
                .isEqualTo(200);
        JsonNode state = state("T-06");
        assertThat(state.at("/full/value").asString()).isEqualTo("no");
        assertThat(state.at("/temperature/celsius").asDouble()).isEqualTo(51);
        assertThat(gate(state, "water", "FULL_BEFORE_WATER")).isEqualTo("shut");
        AsPerson tom = AsPerson.tom(mvc);
        assertThat(tom.page("/batteries/T-06/jobs/water")).contains("A gate is shut");
        assertThat(tom.page("/batteries/T-06/jobs/charge")).contains("A gate is shut");
        assertThat(tom.page("/batteries/T-06/jobs/issue")).contains("A gate is shut");
    }

    @Test
    void aLampAloneLeavesItUnknown() throws Exception {
        send("T-02", "{\"type\": \"charge_start\", " + at(500) + "}");
        send(
                "T-02",
                "{\"type\": \"charge_end\", " + at(10)
                        + ", \"how\": \"full\", \"evidence\": [\"lamp\"], \"meant\": true}");
        JsonNode state = state("T-02");
        assertThat(state.at("/full/value").asString()).isEqualTo("unknown");
        assertThat(gate(state, "water", "FULL_BEFORE_WATER")).isEqualTo("unknown");
    }

    @Test
    void theSameKeyIsKeptOnce() throws Exception {
        String key = UUID.randomUUID().toString();
        long battery = batteries.byCode("T-01").orElseThrow().id();
        int before = ledger.ofBattery(battery, null, 1).get(0).seq();
        String washed = "{\"type\": \"clean\", " + at(1) + ", \"note\": \"seen by the gate\"}";
        assertThat(send("T-01", key, washed).getStatus()).isEqualTo(200);
        assertThat(send("T-01", key, washed).getStatus()).isEqualTo(200);
        assertThat(ledger.ofBattery(battery, null, 1).get(0).seq()).isEqualTo(before + 1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            {"type": "water", "at": "2999-01-01T00:00:00Z", "quantity": 500, "unit": "ml"}   | at
            {"type": "water", "at": "2026-01-01T00:00:00Z", "quantity": 9000000, "unit": "ml"} | quantity
            {"type": "dance", "at": "2026-01-01T00:00:00Z"}                                  | type
            {"type": "defect", "at": "2026-01-01T00:00:00Z", "kind": "bored"}                | kind
            {"type": "temperature", "at": "2026-01-01T00:00:00Z", "quantity": 400, "unit": "°C"} | quantity
            """)
    void whatCannotBeIsRefusedByItsField(String event, String field) throws Exception {
        long battery = batteries.byCode("T-01").orElseThrow().id();
        int before = ledger.ofBattery(battery, null, 1).get(0).seq();
        MockHttpServletResponse answer = send("T-01", event);
        assertThat(answer.getStatus()).isIn(400, 422);
        assertThat(answer.getContentType()).startsWith("application/problem+json");
        JsonNode problem = Payload.read(answer.getContentAsString());
        assertThat(problem.path("field").asString()).contains(field);
        assertThat(problem.path("detail").asString()).isNotEmpty();
        assertThat(ledger.ofBattery(battery, null, 1).get(0).seq()).isEqualTo(before);
    }

    @Test
    void aDefectShutsItsGatesAndOpensThemWhenPutRight() throws Exception {
        send("T-01", "{\"type\": \"defect\", " + at(2) + ", \"kind\": \"damaged_case\"}");
        assertThat(gate(state("T-01"), "charge", "UNDAMAGED")).isEqualTo("shut");
        assertThat(AsPerson.tom(mvc).page("/batteries/T-01/jobs/charge")).contains("A gate is shut");
        send("T-01", "{\"type\": \"defect_righted\", " + at(1) + ", \"kind\": \"damaged_case\"}");
        assertThat(gate(state("T-01"), "charge", "UNDAMAGED")).isEqualTo("open");
    }

    /** Ten write at once: each line has its place in the chain, and the state holds all of them. */
    @Test
    void tenWritersLoseNothing() throws Exception {
        long battery = batteries.byCode("T-15").orElseThrow().id();
        int before = ledger.ofBattery(battery, null, 1).get(0).seq();
        ExecutorService pool = Executors.newFixedThreadPool(10);
        try {
            var calls = IntStream.range(0, 10)
                    .mapToObj(n -> (Callable<Integer>) () -> send(
                                    "T-15", "{\"type\": \"clean\", " + at(1 + n) + ", \"note\": \"writer " + n + "\"}")
                            .getStatus())
                    .toList();
            for (Future<Integer> answer : pool.invokeAll(calls)) {
                assertThat(answer.get()).isEqualTo(200);
            }
        } finally {
            pool.shutdown();
        }
        assertThat(ledger.ofBattery(battery, null, 10))
                .extracting(line -> line.seq())
                .containsExactlyElementsOf(
                        IntStream.range(0, 10).mapToObj(n -> before + 10 - n).toList());
        assertThat(AsPerson.tom(mvc).page("/batteries/T-15/ledger?check")).doesNotContain("broken");
    }

    /** A token speaks for its person, reads only where it was made so, and is worth nothing once ended. */
    @Test
    void aTokenMayWhatItWasMadeFor() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        MockHttpServletResponse made = tom.send("/me/tokens", "name", "gate reader", "writes", "false");
        assertThat(made.getRedirectedUrl()).isEqualTo("/me#tokens");
        String token =
                (String) mvc.perform(post("/me/tokens")
                                .with(org.springframework.security.test.web.servlet.request
                                        .SecurityMockMvcRequestPostProcessors.csrf())
                                .with(org.springframework.security.test.web.servlet.request
                                        .SecurityMockMvcRequestPostProcessors.user("tom")
                                        .roles("TECHNICIAN"))
                                .param("name", "second")
                                .param("writes", "false"))
                        .andReturn()
                        .getFlashMap()
                        .get("token");
        assertThat(bearer(token, false)).isEqualTo(200);
        assertThat(bearer(token, true)).isEqualTo(403);
        assertThat(bearer(token + "x", false)).isEqualTo(401);
        Matcher ends = Pattern.compile("/me/tokens/(\\d+)/end").matcher(tom.page("/me"));
        while (ends.find()) {
            tom.send("/me/tokens/" + ends.group(1) + "/end");
        }
        assertThat(bearer(token, false)).isEqualTo(401);
    }

    private int bearer(String token, boolean writes) throws Exception {
        var request = writes
                ? post("/api/v1/batteries/T-01/events")
                        .contentType("application/json")
                        .content("{\"key\": \"" + UUID.randomUUID() + "\", \"events\": [{\"type\": \"clean\", " + at(1)
                                + ", \"note\": \"by token\"}]}")
                : get("/api/v1/batteries/T-01");
        return mvc.perform(request.header("Authorization", "Bearer " + token))
                .andReturn()
                .getResponse()
                .getStatus();
    }
}
