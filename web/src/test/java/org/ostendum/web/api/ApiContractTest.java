package org.ostendum.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.ostendum.web.store.Payload;
import org.ostendum.web.support.HouseTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

class ApiContractTest extends HouseTest {
    @Autowired
    private MockMvc mvc;

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
        ApiLimits limits = new ApiLimits();
        int answered = 0;
        for (int i = 0; i < 700; i++) {
            MockHttpServletRequest request = new MockHttpServletRequest("POST", "/api/v1/sums/soda");
            request.setContent("{}".getBytes(StandardCharsets.UTF_8));
            MockHttpServletResponse response = new MockHttpServletResponse();
            limits.doFilter(request, response, new MockFilterChain());
            answered += response.getStatus() == 200 ? 1 : 0;
        }
        assertThat(answered).isBetween(600, 650);
    }
}
