package org.ostendum.app.setup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.rules.RuleChanges;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.core.battery.CommonLayout;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.life.Prices;
import org.ostendum.core.rulebook.RuleKey;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

class SetupTest extends ApplicationTest {
    private static final String VERSIONED = "/setup/(batteries|models|machines|people|chargers)/.+";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Models models;

    @Autowired
    private Ledger ledger;

    @Autowired
    private RuleChanges rules;

    private MockHttpServletResponse send(String path, String... namesAndValues) throws Exception {
        MockHttpServletRequestBuilder request =
                post(path).with(user("maud").roles("LEAD")).with(csrf());
        for (int i = 0; i < namesAndValues.length; i += 2) {
            request.param(namesAndValues[i], namesAndValues[i + 1]);
        }
        if (path.matches(VERSIONED) && !List.of(namesAndValues).contains("version")) {
            request.param("version", versionOf(path));
        }
        return mvc.perform(request).andReturn().getResponse();
    }

    private String versionOf(String path) throws Exception {
        return Jsoup.parse(AsPerson.maud(mvc).page(path))
                .selectXpath("//input[@name='version']")
                .attr("value");
    }

    private String model() {
        return String.valueOf(models.byCode("Corvane 36-600").orElseThrow().id());
    }

    @Test
    void aBatteryIsAddedFromItsModelAndStandsInTheLedger() throws Exception {
        send("/setup/rooms", "code", "annex", "name", "Annex", "width", "900", "depth", "600");
        send(
                "/setup/rooms/annex",
                "code",
                "X",
                "name",
                "Stand X",
                "kind",
                "STAND",
                "x",
                "30",
                "y",
                "30",
                "width",
                "600",
                "depth",
                "300",
                "slots",
                "4",
                "amps",
                "80",
                "cells",
                "18");
        String slot = mvc.perform(get("/setup/batteries").with(user("maud").roles("LEAD")))
                .andReturn()
                .getResponse()
                .getContentAsString()
                .replaceAll("(?s).*<option value=\"(\\d+)\">Stand X 1, Annex.*", "$1");
        MockHttpServletResponse answer = send(
                "/setup/batteries",
                "code",
                "T-91",
                "serial",
                "N-91",
                "model",
                model(),
                "made",
                "2026-01-05",
                "inService",
                "2026-02-01",
                "slot",
                slot);
        assertThat(answer.getRedirectedUrl()).isEqualTo("/setup/batteries");
        var battery = batteries.byCode("T-91").orElseThrow();
        assertThat(battery.place()).isEqualTo("Stand X 1");
        assertThat(ledger.ofBattery(battery.id(), null, 5))
                .extracting(e -> e.kind())
                .containsExactly(EntryKind.ADDED);
        assertThat(mvc.perform(get("/rooms/annex").with(user("tom").roles("TECHNICIAN")))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .contains("T-91", "CX1");

        send(
                "/setup/batteries/T-91",
                "code",
                "T-91",
                "model",
                model(),
                "serial",
                "N-91",
                "made",
                "2026-01-05",
                "inService",
                "2026-02-01");
        assertThat(ledger.ofBattery(battery.id(), null, 5))
                .extracting(e -> e.kind())
                .containsExactly(EntryKind.MOVED, EntryKind.ADDED);
    }

    @ParameterizedTest
    @CsvSource({
        "code, T 92!, letters",
        "code, T-07, already taken",
        "serial, '', Write something",
        "model, '', Choose one",
        "made, yesterday, no date",
        "inService, 2098-01-01, lies ahead",
        "inService, 2020-01-01, before it was made"
    })
    void aFaultIsToldBesideItsFieldAndNothingTypedIsLost(String field, String value, String told) throws Exception {
        var typed = new LinkedHashMap<String, String>(Map.of(
                "code",
                "T-93",
                "serial",
                "KEEP-ME",
                "model",
                model(),
                "made",
                "2026-01-05",
                "inService",
                "2026-02-01"));
        typed.put(field, value);
        MockHttpServletResponse answer = send(
                "/setup/batteries",
                typed.entrySet().stream()
                        .flatMap(e -> Stream.of(e.getKey(), e.getValue()))
                        .toArray(String[]::new));
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(told);
        if (!field.equals("serial")) {
            assertThat(answer.getContentAsString()).contains("KEEP-ME");
        }
        assertThat(batteries.byCode("T-93")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "layout, 1 2 2, stands there twice",
        "layout, 1 2 4, is missing",
        "cellsPerCase, 5, not known",
        "fullTo, 1270, must rise",
        "capacity, lots, is no number",
        "empty, 900, outside what is possible",
        "priceNew, 4000, All four prices",
        "coreCredit, 12, All four prices"
    })
    void aModelsSheetIsChecked(String field, String value, String told) throws Exception {
        var typed = new LinkedHashMap<String, String>(Map.ofEntries(
                Map.entry("code", "Test 9"),
                Map.entry("maker", "Corvane"),
                Map.entry("kind", "FLOODED"),
                Map.entry("duty", "MOTIVE"),
                Map.entry("cellsPerCase", "1"),
                Map.entry("layout", "1 2 3/6 5 4"),
                Map.entry("capacity", "300"),
                Map.entry("rate", "6"),
                Map.entry("empty", "1140"),
                Map.entry("recharge", "1180"),
                Map.entry("fullFrom", "1275"),
                Map.entry("fullTo", "1295"),
                Map.entry("mark", "12"),
                Map.entry("markWords", "to the ring"),
                Map.entry("weight", "400")));
        typed.put(field, value);
        MockHttpServletResponse answer = send(
                "/setup/models",
                typed.entrySet().stream()
                        .flatMap(e -> Stream.of(e.getKey(), e.getValue()))
                        .toArray(String[]::new));
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(told, "to the ring");
    }

    @Test
    void aModelsPricesAreKeptAndTakenAway() throws Exception {
        StoredModel was = models.byCode("Skyrow 12-35").orElseThrow();
        assertThat(was.prices()).isNull();
        assertThat(sendModel(was, "890", "120", "60.5", "400").getStatus()).isEqualTo(302);
        assertThat(models.byId(was.id()).orElseThrow().prices()).isEqualTo(new Prices(890, 120, 60.5, 400));
        assertThat(sendModel(was, "890", "120", "900", "400").getContentAsString())
                .contains("outside what is possible", "900");
        sendModel(was, "", "", "", "");
        assertThat(models.byId(was.id()).orElseThrow()).isEqualTo(was);
    }

    private MockHttpServletResponse sendModel(StoredModel was, String price, String cell, String lead, String cycles)
            throws Exception {
        GravityMarks marks = was.model().marks();
        return send(
                "/setup/models/" + was.id(),
                "code",
                was.code(),
                "maker",
                was.maker(),
                "kind",
                was.model().kind().name(),
                "duty",
                was.model().duty().name(),
                "cellsPerCase",
                "1",
                "layout",
                was.model().layout().text(),
                "capacity",
                String.valueOf(was.model().capacity().ampHours()),
                "rate",
                String.valueOf(was.model().rateHours()),
                "empty",
                String.valueOf(marks.empty().points()),
                "recharge",
                String.valueOf(marks.rechargeBelow().points()),
                "fullFrom",
                String.valueOf(marks.fullFrom().points()),
                "fullTo",
                String.valueOf(marks.fullTo().points()),
                "mark",
                String.valueOf(was.levelMarkMm()),
                "markWords",
                was.levelWords(),
                "weight",
                String.valueOf(was.weightKg()),
                "cables",
                "left",
                "scheme",
                was.dateScheme().name(),
                "torque",
                String.valueOf(was.torqueTenths() / 10.0),
                "connector",
                was.connector(),
                "priceNew",
                price,
                "priceCell",
                cell,
                "coreCredit",
                lead,
                "lifeCycles",
                cycles);
    }

    @Test
    void whatTwoLeadsChangeAtOnceIsToldAndNotLost() throws Exception {
        String path = "/setup/machines/C4";
        String shown = versionOf(path);
        String[] first = {"name", "Golf car of the first", "kind", "GOLF_CAR", "volts", "48", "version", shown};
        String[] second = {"name", "Golf car of the second", "kind", "FORKLIFT", "volts", "36", "version", shown};
        assertThat(send(path, first).getStatus()).isEqualTo(302);
        MockHttpServletResponse clash = send(path, second);
        assertThat(clash.getStatus()).isEqualTo(422);
        var page = Jsoup.parse(clash.getContentAsString());
        assertThat(page.select("#name").val()).isEqualTo("Golf car of the second");
        assertThat(page.text())
                .contains("Somebody else has changed this", "“Golf car of the first”", "“48”", "“Golf car”");

        String now = page.selectXpath("//input[@name='version']").attr("value");
        assertThat(send(path, "name", "Golf car of the second", "kind", "GOLF_CAR", "volts", "36", "version", now)
                        .getStatus())
                .isEqualTo(302);
        assertThat(AsPerson.maud(mvc).page(path)).contains("Golf car of the second");
    }

    @Test
    void theLastLeadCannotBeTakenAway() throws Exception {
        MockHttpServletResponse answer =
                send("/setup/people/1", "name", "Maud Ferrow", "role", "VIEWER", "active", "true");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains("without a lead");
    }

    @Test
    void aRuleChangedForOneModelMovesItsVerdictsAndNoOthers() throws Exception {
        String aircraft =
                String.valueOf(models.byCode("Skyrow 12-35").orElseThrow().id());
        MockHttpServletResponse refused =
                send("/rules/judge.spread.equalise", "value", "5", "model", aircraft, "reason", "narrow by the sheet");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString()).contains("10", "80", "narrow by the sheet");
        send("/rules/judge.spread.equalise", "value", "12", "model", aircraft, "reason", "narrow by the sheet");
        var book = rules.now();
        assertThat(book.rulesFor(Long.parseLong(aircraft)).value(RuleKey.SPREAD_EQUALISE))
                .isEqualByComparingTo("12");
        assertThat(book.siteRules().value(RuleKey.SPREAD_EQUALISE)).isEqualByComparingTo("30");
        send("/rules/judge.spread.equalise", "back", "yes", "model", aircraft, "reason", "sheet withdrawn");
        assertThat(rules.now().rulesFor(Long.parseLong(aircraft)).value(RuleKey.SPREAD_EQUALISE))
                .isEqualByComparingTo("30");
        assertThat(List.copyOf(rules.now().changes())).hasSizeGreaterThanOrEqualTo(2);
    }

    /** A layout is picked by its picture; the form begins with it. */
    @Test
    void aModelBeginsWithWhatItLooksLike() throws Exception {
        assertThat(AsPerson.maud(mvc).page("/setup/models"))
                .contains("usual=FOUR_BLOCKS_OF_12_VOLTS", "six blocks of 8 V");
        String picked = Jsoup.parse(AsPerson.maud(mvc).page("/setup/models?usual=SIX_BLOCKS_OF_8_VOLTS"))
                .select("#layout, #cellsPerCase")
                .eachAttr("value")
                .toString();
        assertThat(picked).contains(CommonLayout.SIX_BLOCKS_OF_8_VOLTS.layout().text(), "4");
    }
}
