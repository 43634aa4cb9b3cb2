package org.ostendum.app.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.net.URI;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Whatever is put into a field that wants a number, a day or a choice, the answer is told in words and never a fault. What is taken
 * nevertheless is rolled back: the demo is everybody's.
 */
@Transactional
class HostileFormsTest extends ApplicationTest {
    private static final List<String> HOSTILE =
            List.of("+999999999-12-31", "0x1p3", "99999999999999999999", "x\u0000y");

    private static final String WANTS_FIGURE = "input[inputmode=decimal], input[inputmode=numeric], input[type=date],"
            + "input[type=number], input[type=hidden], select, input[type=radio]";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    private record Answer(String form, String field, String value, int status) {}

    private List<Element> formsOf(String page) throws Exception {
        return Jsoup.parse(AsPerson.maud(mvc).page(page))
                .select("form[action]:not([action^=/sign-out], [action^=/find])");
    }

    private static Map<String, String> asShown(Element form) {
        Map<String, String> shown = new LinkedHashMap<>();
        form.select("input[name], select[name], textarea[name], button[name]")
                .forEach(e -> shown.putIfAbsent(
                        e.attr("name"),
                        e.tagName().equals("select")
                                ? e.select("option[selected]").val()
                                : e.val()));
        return shown;
    }

    private int send(Element form, Map<String, String> fields) throws Exception {
        String action = form.attr("action");
        if (!form.attr("method").equalsIgnoreCase("post")) {
            UriComponentsBuilder address = UriComponentsBuilder.fromPath(action);
            fields.forEach((name, value) -> address.queryParam(name, "{" + name + "}"));
            URI uri = address.encode().buildAndExpand(fields).toUri();
            return AsPerson.maud(mvc).ask(get(uri)).getStatus();
        }
        MockHttpServletRequestBuilder request = post(URI.create(action));
        fields.forEach((name, value) -> request.param(name, value));
        return AsPerson.maud(mvc).ask(request).getStatus();
    }

    private List<Answer> attack(Element form) throws Exception {
        List<Answer> answers = new ArrayList<>();
        for (Element field : form.select(WANTS_FIGURE)) {
            for (String hostile : HOSTILE) {
                Map<String, String> fields = asShown(form);
                fields.put(field.attr("name"), hostile);
                answers.add(new Answer(form.attr("action"), field.attr("name"), hostile, send(form, fields)));
            }
        }
        return answers;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/setup/batteries",
                "/setup/batteries/T-13",
                "/setup/models",
                "/setup/machines",
                "/setup/rooms",
                "/setup/rooms/main",
                "/setup/people",
                "/setup/chargers/CA3",
                "/setup/devices",
                "/setup/water",
                "/setup/charging",
                "/safety",
                "/safety/stations/5/kit",
                "/procedures/water",
                "/batteries/T-05/charge",
                "/batteries/HOSTILE-1/round",
                "/batteries/T-08/correct?cell=2",
                "/batteries/G-06/volts",
                "/batteries/T-24/jobs/charge",
                "/batteries/T-13",
                "/date-code?code=J4",
                "/sums/mixing",
                "/fleet",
                "/ledger",
                "/me"
            })
    void noFigureMakesAFault(String page) throws Exception {
        own.full("HOSTILE-1", "T-25");
        List<Answer> answers = new ArrayList<>();
        for (Element form : formsOf(page)) {
            answers.addAll(attack(form));
        }
        assertThat(answers).as("something was tried on " + page).isNotEmpty();
        assertThat(answers).filteredOn(a -> a.status() >= 500).isEmpty();
    }

    @Test
    void anAddressWithFiguresOfNoRangeIsNoFault() throws Exception {
        for (String address : List.of(
                "/ledger?before=%2B999999999-12-31T23:59:59Z",
                "/ledger?before=2026-01-01T00:00:00Z&beforeId=1d",
                "/batteries/T-07/ledger?before=-99999999999",
                "/batteries/T-07/correct?cell=99999999999",
                "/rounds/99999999999999999999/board",
                "/jobs/-1",
                "/photos/0x10",
                "/charging?fan=1d",
                "/setup/models/+1")) {
            int status = AsPerson.maud(mvc).ask(get(URI.create(address))).getStatus();
            assertThat(status).as(address).isLessThan(500);
        }
    }
}
