package org.ostendum.app.battery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.Sought;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.core.event.EntryKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

class LogTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Ledger ledger;

    private MockHttpServletResponse log(String code, String kind, String when, String quantity, String remark)
            throws Exception {
        return mvc.perform(post("/batteries/" + code + "/log")
                        .param("kind", kind)
                        .param("when", when)
                        .param("quantity", quantity)
                        .param("remark", remark)
                        .with(user("tom").roles("TECHNICIAN"))
                        .with(csrf()))
                .andReturn()
                .getResponse();
    }

    private String page(String path) throws Exception {
        return mvc.perform(get(path).with(user("tom").roles("TECHNICIAN")))
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    @Test
    void anEqualiseWrittenDownAsksForTheRoundThatProvesIt() throws Exception {
        assertThat(page("/batteries/T-04")).contains("Equalise T-04.");
        assertThat(log("T-04", "EQUALISE_END", "", "3", "overnight").getRedirectedUrl())
                .isEqualTo("/batteries/T-04");
        Battery battery = batteries.byCode("T-04").orElseThrow();
        LedgerEntry line = ledger.ofBattery(battery.id(), null, 1).get(0);
        assertThat(line.kind()).isEqualTo(EntryKind.EQUALISE_END);
        assertThat(line.quantity()).isEqualByComparingTo("3");
        assertThat(page("/batteries/T-04")).contains("Read T-04 now that it is equalised", "overnight");
    }

    /** Water on a discharged battery overflows on the charge: refused unless the remark says why. */
    @Test
    void waterBeforeTheChargeIsQuestioned() throws Exception {
        MockHttpServletResponse questioned = log("T-01", "WATER", "", "400", "");
        assertThat(questioned.getStatus()).isEqualTo(422);
        assertThat(questioned.getContentAsString()).contains("would overflow", "value=\"400\"");
        assertThat(log("T-01", "WATER", "", "400", "just covered bare plates").getStatus())
                .isEqualTo(302);
    }

    @ParameterizedTest
    @CsvSource({
        "NOTE, '', '', '', needs its text",
        "WASH, yesterday, '', x, is no time",
        "WASH, 2098-01-01 10:00, '', x, lies ahead",
        "CHARGE_END, '', lots, x, is no amount",
        "CHARGE_END, '', -1, x, is no amount",
        "ROUND, '', '', x, Choose one"
    })
    void aFaultIsToldAndTheRestOfTheFormStays(String kind, String when, String quantity, String remark, String told)
            throws Exception {
        MockHttpServletResponse answer = log("T-02", kind, when, quantity, remark);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(told);
        if (!remark.isEmpty()) {
            assertThat(answer.getContentAsString()).contains("value=\"" + remark + "\"");
        }
    }

    @Test
    void anUnknownKindIsBadInputNotAFailure() throws Exception {
        assertThat(log("T-02", "NONSENSE", "", "", "x").getStatus()).isBetween(400, 422);
    }

    @Test
    void theSitesLedgerIsPagedWithoutGaps() throws Exception {
        var first = ledger.ofSite(null, Sought.of(EntryKind.ROUND), 10);
        LedgerEntry last = first.get(9);
        var second = ledger.ofSite(new Ledger.Mark(last.happenedAt(), last.id()), Sought.of(EntryKind.ROUND), 10);
        var both = ledger.ofSite(null, Sought.of(EntryKind.ROUND), 20);
        assertThat(both).hasSize(20);
        assertThat(both.subList(0, 10)).isEqualTo(first);
        assertThat(both.subList(10, 20)).isEqualTo(second);
        assertThat(page("/ledger?kind=ROUND")).contains("/ledger?before=");
    }
}
