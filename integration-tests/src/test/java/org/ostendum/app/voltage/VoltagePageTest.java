package org.ostendum.app.voltage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.net.URI;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.PastCheck;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.core.event.EntryKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

class VoltagePageTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Ledger ledger;

    @Autowired
    private PastCheck past;

    private AsPerson tom;

    @BeforeEach
    void people() {
        tom = AsPerson.tom(mvc);
    }

    @Test
    void blocksAreReadWhereTheyStandAndJudgedAgainstEachOther() throws Exception {
        MockHttpServletResponse kept = tom.send(
                "/batteries/G-02/volts",
                "load",
                "LOAD",
                "v1",
                "8.21",
                "v2",
                "8,22",
                "v3",
                "8.20",
                "v4",
                "7.70",
                "v5",
                "8.21",
                "v6",
                "8.21");
        assertThat(kept.getRedirectedUrl()).isEqualTo("/batteries/G-02/volts");
        assertThat(tom.page("/batteries/G-02/volts")).contains("It drops under load: block 4", "7.70 V");
        var line = ledger.ofBattery(batteries.byCode("G-02").orElseThrow().id(), null, 1)
                .get(0);
        assertThat(line.kind()).isEqualTo(EntryKind.VOLTAGE);
        assertThat(tom.page("/batteries/G-02")).contains("6 voltages, under load", "It drops under load");
        assertThat(past.check(line.batteryId()).isWhole()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"v2, 85, -12 to 12", "v2, eight, is no number", "v1, '', at least one voltage"})
    void badVoltagesAreNamedBesideTheirField(String field, String value, String told) throws Exception {
        MockHttpServletResponse answer = tom.send("/batteries/G-03/volts", "load", "REST", field, value);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(told).contains("value=\"" + value + "\"");
    }

    @ParameterizedTest
    @CsvSource({
        "1+, 6-, 50.88 V from 1+ to 6-",
        "1-, 2+, are the same metal",
        "1+, , From 1+: pick the second post",
        ", , Pick the first post",
        "9+, 1-, Pick the first post",
        "<b>, 1-, Pick the first post",
    })
    void theMapTellsWhatLiesBetweenTwoPosts(String a, String b, String told) throws Exception {
        String query = (a == null
                        ? ""
                        : "a=" + a.replace("+", "%2B").replace("<", "%3C").replace(">", "%3E"))
                + (b == null ? "" : "&b=" + b.replace("+", "%2B"));
        assertThat(mapPage("/batteries/G-01/map?" + query)).contains(told).doesNotContain("<b>1");
    }

    private String mapPage(String address) throws Exception {
        return tom.ask(get(URI.create(address))).getContentAsString();
    }

    @Test
    void aDateCodeIsReadWithItsAlternatives() throws Exception {
        assertThat(tom.page("/date-code?code=J4&scheme=LETTER_DIGIT"))
                .contains("Made in Oct 2024", "Oct 2014", "By another scheme", "Sep 2024");
        assertThat(tom.page("/date-code?code=ZZ9&scheme=MONTH_YEAR")).contains("“ZZ9” means nothing as");
        assertThat(tom.page("/date-code")).doesNotContain("means nothing");
    }
}
