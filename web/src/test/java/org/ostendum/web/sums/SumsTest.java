package org.ostendum.web.sums;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.web.store.Payload;
import org.ostendum.web.support.AsPerson;
import org.ostendum.web.support.HouseTest;
import org.ostendum.web.support.TestWords;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

class SumsTest extends HouseTest {
    @Autowired
    private MockMvc mvc;

    static Stream<Sum> sums() {
        return new SumBook().all().stream();
    }

    private static Map<String, Double> usual(Sum sum) {
        Map<String, Double> values = new HashMap<>();
        sum.inputs().forEach(i -> values.put(i.name(), i.usual()));
        return values;
    }

    @ParameterizedTest
    @MethodSource("sums")
    void everySumComesToSomethingAndIsNamed(Sum sum) {
        assertThat(sum.work(usual(sum))).isNotEmpty().allSatisfy(r -> {
            assertThat(r.value()).isFinite();
            assertThat(TestWords.metric().text("sum.value." + r.name())).isNotEmpty();
        });
        for (String key : List.of("", ".why", ".care")) {
            assertThat(TestWords.metric().text("sum." + sum.name() + key)).isNotEmpty();
        }
        assertThat(sum.source()).isNotEmpty();
    }

    /** Any values inside their ranges come to a result, or to a refusal that says which do not go together. */
    @ParameterizedTest
    @MethodSource("sums")
    void anyPossibleValuesAreWorkedOrRefused(Sum sum) {
        Random random = new Random(9);
        for (int i = 0; i < 300; i++) {
            Map<String, Double> values = new HashMap<>();
            for (Sum.Input input : sum.inputs()) {
                double share = i % 7 == 0 ? random.nextInt(2) : random.nextDouble();
                values.put(input.name(), input.least() + share * (input.most() - input.least()));
            }
            try {
                assertThat(sum.work(values)).allMatch(r -> Double.isFinite(r.value()));
            } catch (OutOfRange e) {
                assertThat(e.quantity()).isNotEmpty();
            }
            SumDrawing.of(sum, values);
        }
    }

    @Test
    void theAddressHoldsTheValues() throws Exception {
        String page = AsPerson.tom(mvc).page("/sums/pool?workHours=6&chargeHours=8&coolHours=8");
        assertThat(page).contains("<b>4 </b>", "value=\"6\"");
        assertThat(AsPerson.tom(mvc).page("/sums/freezing?gravity=1.15")).contains("-15.0 °C", "class=\"spot\"");
    }

    @ParameterizedTest
    @CsvSource({
        "wantedLitres=ten, is no number",
        "wantedLitres=99999, 0.1 to 1000",
        "strongGravity=1.2, Together they cannot be",
    })
    void badValuesAreNamedBesideTheirField(String query, String told) throws Exception {
        assertThat(AsPerson.tom(mvc).page("/sums/mixing?" + query)).contains(told, "These values do not go together");
    }

    private MockHttpServletResponse send(String name, String body) throws Exception {
        return mvc.perform(post("/api/v1/sums/" + name)
                        .contentType("application/json")
                        .content(body)
                        .with(httpBasic("vera", "lanternmoor")))
                .andReturn()
                .getResponse();
    }

    @Test
    void aProgramAsksWithNameAndPassword() throws Exception {
        MockHttpServletResponse answer = send("soda", "{\"spillLitres\": 1, \"gravity\": 1.28}");
        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(Payload.read(answer.getContentAsString())
                        .path("sodaKilograms")
                        .asDouble())
                .isCloseTo(0.82, within(0.03));
        assertThat(answer.getCookies()).isEmpty();
        assertThat(mvc.perform(post("/api/v1/sums/soda")
                                .contentType("application/json")
                                .content("{}")
                                .with(httpBasic("vera", "wrong")))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(401);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            soda    | {"spillLitres": "five"}      | spillLitres
            soda    | {"spillLitres": 5000}        | spillLitres
            soda    | {"gravity": null}            | gravity
            mixing  | {"strongGravity": 1.2}       | gravity of the strong acid
            nothing | {}                           | name
            """)
    void aProblemNamesItsFieldAndWhatIsAllowed(String name, String body, String field) throws Exception {
        MockHttpServletResponse answer = send(name, body);
        assertThat(answer.getStatus()).isIn(404, 422);
        assertThat(answer.getContentType()).startsWith("application/problem+json");
        assertThat(Payload.read(answer.getContentAsString()).path("field").asString())
                .isEqualTo(field);
        assertThat(Payload.read(answer.getContentAsString()).path("detail").asString())
                .isNotEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "{", "[]", "null", "\"x\"", "{\"spillLitres\": 1e999}", "{\"gravity\": [[[]]]}", "\u0000"})
    void anyTextAtAllNeverFails(String body) throws Exception {
        assertThat(send("soda", body).getStatus()).isIn(200, 400, 422);
    }

    @ParameterizedTest
    @CsvSource({
        "capacity, testAmperes=100&testHours=6&electrolyteCelsius=30&isMotive=1, 100 %",
        "capacity, testAmperes=100&testHours=4.8&electrolyteCelsius=20&isMotive=1, 85 %",
        "run-time, loadAmperes=100, 6.0 h",
        "beam, eyesMillimetres=780, 7",
        "repair, repairPrice=300&cyclesLeft=300&newPrice=4800&coreCredit=300&newCycles=1500, 3.00",
        "standing, placeCelsius=25&ageOfLife=0, 1.0",
    })
    void workAndMoneyComeToWhatTheyAre(String name, String query, String told) throws Exception {
        assertThat(AsPerson.tom(mvc).page("/sums/" + name + "?" + query)).contains(told);
    }

    @Test
    void whatWasWorkedOutIsKeptOnTheLedger() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        tom.send("/sums/run-time", "loadAmperes", "120", "battery", "T-06");
        assertThat(tom.page("/batteries/T-06")).contains("Run time: ", "Current of the work 120 A");
        assertThat(tom.send("/sums/run-time", "loadAmperes", "120", "battery", "Z-1")
                        .getContentAsString())
                .contains("Choose one");
        assertThat(tom.page("/batteries/T-06")).contains("/sums/run-time?battery=T-06");
    }
}
