package org.ostendum.app.sums;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.db.Payload;
import org.ostendum.app.draw.Shape;
import org.ostendum.app.sums.sketch.Given;
import org.ostendum.app.sums.sketch.Sketches;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.TestWords;
import org.ostendum.app.words.Measures;
import org.ostendum.core.quantity.OutOfRange;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

class SumsTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private SumStarts starts;

    static Stream<Sum> sums() {
        return new SumCatalogue().all().stream();
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
                List<Sum.Output> results = sum.work(values);
                assertThat(results).allMatch(r -> Double.isFinite(r.value()));
                assertThat(sketch(sum, values, results)).isNotEmpty().allSatisfy(SumsTest::isInThePicture);
            } catch (OutOfRange e) {
                assertThat(e.quantity()).isNotEmpty();
            }
        }
    }

    private static List<Shape> sketch(Sum sum, Map<String, Double> values, List<Sum.Output> results) {
        Map<String, Double> byName = new HashMap<>();
        results.forEach(r -> byName.put(r.name(), r.value()));
        return Sketches.of(sum.name(), new Given(values, byName, TestWords.metric(), Measures.METRIC))
                .shapes();
    }

    private static void isInThePicture(Shape shape) {
        assertThat(shape.x()).isBetween(-1.0, 641.0);
        assertThat(shape.y()).isBetween(-1.0, 271.0);
        assertThat(shape.x() + (shape.kind() == Shape.Kind.CIRCLE ? 0 : shape.width()))
                .isBetween(-1.0, 641.0);
        assertThat(shape.y() + (shape.kind() == Shape.Kind.CIRCLE ? 0 : shape.height()))
                .isBetween(-1.0, 271.0);
        assertThat(shape.text()).doesNotContain("NaN", "Infinity");
    }

    @ParameterizedTest
    @MethodSource("sums")
    void thePictureMovesWithEachValue(Sum sum) {
        Map<String, Double> usual = usual(sum);
        List<Shape> before = sketch(sum, usual, sum.work(usual));
        for (Sum.Input input : sum.inputs()) {
            Map<String, Double> moved = new HashMap<>(usual);
            double usually = usual.getOrDefault(input.name(), 0.0);
            double end = usually == input.most() ? input.least() : input.most();
            moved.put(input.name(), input.most() == 1 ? (usually < 1 ? 1 : 0) : usually + (end - usually) * 0.03);
            if (!List.of("rateHours", "electrolyteCelsius", "roomCelsius").contains(input.name())) {
                assertThat(sketch(sum, moved, sum.work(moved)))
                        .as("%s of %s", input.name(), sum.name())
                        .isNotEqualTo(before);
            }
        }
    }

    @Test
    void whatACodeOfTheSiteSaysIsTaken() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        assertThat(tom.page("/sums/capacity?from=T-07")).contains("value=\"600\"", "name=\"isMotive\"");
        assertThat(tom.page("/sums/repair?from=T-07")).contains("value=\"4600\"", "value=\"380\"");
        String charger = anyCharger();
        assertThat(tom.page("/sums/charge?from=" + charger))
                .contains("value=\""
                        + SumSheet.plain(Objects.requireNonNull(
                                starts.of(charger).orElseThrow().get("chargerAmperes"))));
        assertThat(tom.page("/sums/gas?from=T-07&cells=6")).contains("value=\"6\"");
        assertThat(tom.page("/sums/gas?from=nowhere")).contains("is called “nowhere”");
        assertThat(starts.codes())
                .allSatisfy(code -> assertThat(starts.of(code)).isPresent())
                .contains("T-07");
    }

    private String anyCharger() {
        return starts.codes().stream()
                .filter(code -> starts.of(code).orElseThrow().size() == 5)
                .findFirst()
                .orElseThrow();
    }

    /** What the shop's formula says and what this charger does stand side by side. */
    @Test
    void whatTheBatterysOwnChargesTakeStandsBesideTheSum() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        SumStarts.OwnCharge own = starts.ownCharge("T-07", 420).orElseThrow();
        assertThat(own.lasts().likely())
                .isBetween(own.lasts().early(), own.lasts().late());
        assertThat(tom.page("/sums/charge?from=T-07&missingAmpereHours=420"))
                .contains(
                        "<b>" + TestWords.metric().span(own.lasts().likely()) + "</b>",
                        TestWords.metric()
                                .text(
                                        "sums.own-charge",
                                        "T-07",
                                        own.charger(),
                                        TestWords.metric().span(own.lasts().early()),
                                        TestWords.metric().span(own.lasts().late())));
        Duration less = starts.ownCharge("T-07", 200).orElseThrow().lasts().likely();
        assertThat(less).isLessThan(own.lasts().likely());
        assertThat(starts.of("T-07").orElseThrow()).containsKey("chargeHours");
    }

    @Test
    void whoHasNoChargesToLearnFromIsToldTheSumAlone() throws Exception {
        String charger = anyCharger();
        assertThat(starts.ownCharge(charger, 420)).isEmpty();
        assertThat(AsPerson.tom(mvc).page("/sums/charge?from=" + charger)).doesNotContain("learned from its own");
    }

    /** A gallon typed by one is 3.7854 l to the other, and comes to the same. */
    @Test
    void eachReadsAnAddressInHisOwnUnits() {
        Sum soda = new SumCatalogue().find("soda").orElseThrow();
        Map<String, String> gallon = Map.of("spillLitres", "1");
        Measures us = new Measures(true, true, true);
        SumSheet his = new SumSheet(soda, gallon, us, Map.of(), TestWords.of(false, true, true));
        SumSheet mine = new SumSheet(soda, gallon, us, Map.of(), TestWords.metric());
        assertThat(his.typed("spillLitres")).isEqualTo("1");
        assertThat(mine.typed("spillLitres")).isEqualTo("3.7854");
        assertThat(his.unit("l")).isEqualTo("gal");
        double kilograms = mine.results().get(0).value();
        assertThat(his.results().get(0).value()).isCloseTo(kilograms, within(1e-3));
        assertThat(his.figure(his.results().get(0))).isEqualTo(String.format("%.2f lb", kilograms / 0.45359237));
    }

    @ParameterizedTest
    @MethodSource("sums")
    void theEndsOfEveryRangeAreAllowedInAnyUnits(Sum sum) {
        for (Measures in : List.of(Measures.METRIC, new Measures(true, true, true))) {
            for (Sum.Input input : sum.inputs()) {
                for (double end : new double[] {input.least(), input.most()}) {
                    String typed = SumSheet.plain(in.shown(input.unit(), end));
                    SumSheet sheet = new SumSheet(sum, Map.of(input.name(), typed), in, Map.of(), TestWords.metric());
                    assertThat(String.valueOf(sheet.faults().of(input.name())))
                            .as("%s %s", input.name(), typed)
                            .doesNotContain("outside what is possible");
                }
            }
        }
    }

    /** 1.12 and 1120 are the same to everybody; each sees it in his own form. */
    @Test
    void aGravityIsUnderstoodInEitherForm() {
        Sum freezing = new SumCatalogue().find("freezing").orElseThrow();
        for (String typed : List.of("1.12", "1120")) {
            SumSheet decimal =
                    new SumSheet(freezing, Map.of("gravity", typed), Measures.METRIC, Map.of(), TestWords.metric());
            SumSheet points = new SumSheet(
                    freezing, Map.of("gravity", typed), Measures.METRIC, Map.of(), TestWords.of(true, false, false));
            assertThat(decimal.typed("gravity")).isEqualTo("1.12");
            assertThat(points.typed("gravity")).isEqualTo("1120");
            assertThat(points.results()).isEqualTo(decimal.results()).isNotEmpty();
        }
    }

    @Test
    void whatIsNoNumberStaysAsItWasTyped() {
        Sum soda = new SumCatalogue().find("soda").orElseThrow();
        SumSheet sheet = new SumSheet(
                soda, Map.of("spillLitres", "ten"), new Measures(false, true, false), Map.of(), TestWords.metric());
        assertThat(sheet.typed("spillLitres")).isEqualTo("ten");
        assertThat(sheet.isWorked()).isFalse();
        assertThat(sheet.sketch()).isEmpty();
    }

    @Test
    void theAddressHoldsTheValues() throws Exception {
        String page = AsPerson.tom(mvc).page("/sums/pool?workHours=6&chargeHours=8&coolHours=8");
        assertThat(page).contains("<b>4</b>", "value=\"6\"");
        assertThat(AsPerson.tom(mvc).page("/sums/freezing?gravity=1.15"))
                .contains("-15.0 °C", "class=\"spot\"", "5.0 K");
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
                .contains("No battery is called “Z-1”");
        assertThat(tom.page("/batteries/T-06")).contains("/sums/run-time?from=T-06");
    }
}
