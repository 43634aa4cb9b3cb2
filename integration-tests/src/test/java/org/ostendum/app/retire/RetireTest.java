package org.ostendum.app.retire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.state.fact.Stage;
import org.springframework.beans.factory.annotation.Autowired;

/** A battery that leaves: from every list, and its past stays; and the document of a life. */
class RetireTest extends JobsTest {
    @Autowired
    private Models models;

    @Autowired
    private BatteryStates states;

    private Battery old() {
        String code = "X" + UUID.randomUUID().toString().substring(0, 5);
        long model = models.all().get(0).id();
        LocalDate made = LocalDate.now(ZoneOffset.UTC).minusYears(6);
        long id = batteries.add(code, "OLD-" + code, model, made, made);
        return batteries.byId(id).orElseThrow();
    }

    @Test
    void whatHasLeftIsInNoListAndItsPastStays() throws Exception {
        Battery battery = old();
        String address = "/batteries/" + battery.code() + "/retire";
        assertThat(tom.send(address, "reason", "Worn out.").getStatus()).isEqualTo(403);
        var wrong = maud.send(address, "reason", "Worn out.", "credit", "lots");
        assertThat(wrong.getStatus()).isEqualTo(422);
        assertThat(wrong.getContentAsString()).contains("lots", "value=\"Worn out.\"", "licensed recycler");
        maud.send(
                address, "reason", "Worn out.", "recycler", "Kelmscot Lead Works", "receipt", "R-88", "credit", "140");
        assertThat(states.stateOf(battery).stage()).isEqualTo(Stage.RETIRED);
        assertThat(batteries.all()).noneMatch(b -> b.id() == battery.id());
        assertThat(batteries.byCode(battery.code())).isPresent();
        assertThat(tom.page("/fleet?find=" + battery.code())).doesNotContain(">" + battery.code() + "<");
        assertThat(tom.page("/retired")).contains(battery.code());
        assertThat(tom.page("/find?q=" + battery.code())).contains(battery.code());
        assertThat(tom.page("/batteries/" + battery.code() + "/ledger")).contains("Worn out.");
        assertThat(tom.page("/batteries/" + battery.code() + "/jobs/charge")).contains("has left the site");
        for (String job : List.of("wash", "cover-plates", "recover", "receive", "inspect-daily", "cell-repair")) {
            assertThat(tom.page("/batteries/" + battery.code() + "/jobs/" + job))
                    .as(job)
                    .contains(battery.code() + " has left the site.");
        }
        assertThat(tom.page("/batteries/" + battery.code() + "/wake"))
                .contains("It has left the site: nothing is woken");
        assertThat(maud.send(address, "reason", "Again.", "recycler", "Kelmscot")
                        .getStatus())
                .isEqualTo(422);
    }

    @Test
    void aWholeLifeIsOneDocumentAlsoOnPaper() throws Exception {
        assertThat(tom.page("/batteries/T-07/life"))
                .contains("The life of T-07", "Who it is", "Its cells", "Charges and water", "follow one another");
        byte[] pdf = tom.ask(get("/batteries/T-07/life.pdf")).getContentAsByteArray();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(document);
            assertThat(text).contains("The life of T-07", "Its cells", "follow one another");
        }
    }

    @Test
    void theBudgetIsToldWithWhatWouldChangeIt() throws Exception {
        assertThat(tom.page("/budget")).contains("Life and budget", "Year 3", "T-07", "Eight of ten times");
        assertThat(tom.page("/budget?what=COOLER_ROOM")).contains("A room 5 K cooler");
        assertThat(tom.page("/budget?what=EVEN_POOLS")).contains("take turns");
        assertThat(tom.page("/budget?what=IN_BREAKS")).contains("Charged in the breaks");
    }
}
