package org.ostendum.app.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.net.HttpURLConnection;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.db.Payload;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.OwnBatteries;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

class ApiContractTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @LocalServerPort
    private int port;

    /** What the document gives as an example is what the call answers. */
    @Test
    void everyCalculatorIsToldWithAnExampleThatHolds() throws Exception {
        JsonNode document = Payload.read(mvc.perform(get("/api/v1/openapi").with(httpBasic("vera", "lanternmoor")))
                .andReturn()
                .getResponse()
                .getContentAsString());
        JsonNode paths = document.path("paths");
        assertThat(paths.has("/api/v1/judge")).isTrue();
        assertThat(paths.has("/api/v1/{file}.csv")).isTrue();
        int sums = 0;
        for (var path : paths.properties()) {
            if (path.getKey().startsWith("/api/v1/sums/")) {
                sums++;
                JsonNode call = path.getValue().path("post");
                JsonNode example = call.at("/requestBody/content/application~1json/example");
                JsonNode told = call.at("/responses/200/content/application~1json/example");
                assertThat(Payload.read(ask(path.getKey(), example.toString()).getContentAsString()))
                        .as(path.getKey())
                        .isEqualTo(told);
            }
        }
        assertThat(sums).isGreaterThanOrEqualTo(8);
    }

    /** The examples of the other calls are taken, and one answer has the members of the example. */
    @Test
    void theCallsAboutABatteryAreToldWithExamplesThatHold() throws Exception {
        JsonNode paths = Payload.read(mvc.perform(get("/api/v1/openapi").with(httpBasic("vera", "lanternmoor")))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .path("paths");
        JsonNode judged = paths.at("/~1api~1v1~1judge/post/requestBody/content/application~1json/example");
        assertThat(Payload.read(ask("/api/v1/judge", judged.toString()).getContentAsString())
                        .at("/verdict/level")
                        .asString())
                .isEqualTo("stop");
        JsonNode events =
                paths.at("/~1api~1v1~1batteries~1{code}~1events/post/requestBody/content/application~1json/example");
        assertThat(mvc.perform(post("/api/v1/batteries/"
                                        + own.full("K-90", "T-21").code() + "/events")
                                .with(httpBasic("tom", "lanternmoor"))
                                .contentType("application/json")
                                .content(events.toString()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .contains("\"kept\":5");
        JsonNode told = paths.at("/~1api~1v1~1batteries~1{code}/get/responses/200/content/application~1json/example");
        JsonNode answer = Payload.read(mvc.perform(get("/api/v1/batteries/T-22").with(httpBasic("vera", "lanternmoor")))
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertThat(told.propertyNames()).containsExactlyElementsOf(answer.propertyNames());
        assertThat(told.at("/gates/0").propertyNames())
                .containsExactlyElementsOf(answer.at("/gates/0").propertyNames());
    }

    /** Also what is refused before any call has it, over a real port: the server's own answers are pages. */
    @ParameterizedTest
    @CsvSource({
        "GET, /api/v1/batteries/T-01, '', 401",
        "GET, /api/v1/batteries/T-01, vera:wrong, 401",
        "POST, /api/v1/batteries/T-01/events, vera:lanternmoor, 403",
        "DELETE, /api/v1/batteries/T-01, vera:lanternmoor, 405",
        "GET, /api/v1/nothing/here, vera:lanternmoor, 404",
        "POST, /api/v1/judge, vera:lanternmoor, 415",
    })
    void everyRefusalIsAProblem(String method, String path, String person, int status) throws Exception {
        HttpURLConnection call = (HttpURLConnection)
                URI.create("http://127.0.0.1:" + port + path).toURL().openConnection();
        call.setRequestMethod(method);
        if (!person.isEmpty()) {
            String basic = Base64.getEncoder().encodeToString(person.getBytes(StandardCharsets.UTF_8));
            call.setRequestProperty("Authorization", "Basic " + basic);
        }
        if (method.equals("POST")) {
            call.setDoOutput(true);
            call.setRequestProperty("Content-Type", "text/csv");
            call.getOutputStream().write("a,b".getBytes(StandardCharsets.UTF_8));
        }
        assertThat(call.getResponseCode()).isEqualTo(status);
        assertThat(call.getContentType()).startsWith("application/problem+json");
        JsonNode problem = Payload.read(new String(call.getErrorStream().readAllBytes(), StandardCharsets.UTF_8));
        assertThat(problem.path("status").asInt()).isEqualTo(status);
        assertThat(problem.path("detail").asString()).isNotEmpty();
    }

    private MockHttpServletResponse ask(String path, String body) throws Exception {
        return mvc.perform(post(path)
                        .with(httpBasic("vera", "lanternmoor"))
                        .contentType("application/json")
                        .content(body))
                .andReturn()
                .getResponse();
    }

    @Test
    void bodiesHaveTheirLimit() throws Exception {
        String huge = "{\"model\": \"" + "x".repeat((int) ApiLimits.MOST_JSON_BYTES) + "\"}";
        MockHttpServletResponse answer = ask("/api/v1/judge", huge);
        assertThat(answer.getStatus()).isEqualTo(413);
        assertThat(answer.getContentType()).startsWith("application/problem+json");
        assertThat(answer.getContentAsString()).contains("allowed are 4000000");
    }

    @Test
    void aProgramGoneWildIsHeldUp() throws Exception {
        ApiCalls calls = new ApiCalls();
        int answered = 0;
        for (int i = 0; i < 700; i++) {
            answered += calls.preHandle(call("tom"), new MockHttpServletResponse(), this) ? 1 : 0;
        }
        assertThat(answered).isBetween(ApiCalls.A_MINUTE, ApiCalls.A_MINUTE + 50);
        assertThat(calls.preHandle(call("ines"), new MockHttpServletResponse(), this))
                .as("somebody else's")
                .isTrue();
    }

    /** Whatever stands in its head: a person's programs count together. */
    private static MockHttpServletRequest call(String login) {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", "/api/v1/sums/soda");
        request.addHeader("Authorization", "Bearer " + UUID.randomUUID());
        request.setUserPrincipal(() -> login);
        return request;
    }
}
