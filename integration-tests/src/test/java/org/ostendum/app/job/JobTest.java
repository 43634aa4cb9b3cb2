package org.ostendum.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.app.db.Payload;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.EntryKind;
import org.springframework.mock.web.MockHttpServletResponse;

class JobTest extends JobsTest {
    @Test
    void aJobLeavesOneLedgerEntryWithEverythingThatWasSaid() throws Exception {
        long job = begin(tom, "T-17", "inspect-daily");
        inspect(tom, job, "dirty", "sound");
        say(tom, job, "finish", "", "");
        LedgerEntry line = newest("T-17");
        assertThat(line.kind()).isEqualTo(EntryKind.JOB);
        var payload = Payload.read(line.payload());
        assertThat(payload.path("steps").size()).isEqualTo(7);
        assertThat(payload.at("/steps/6/how").asString()).isEqualTo("SKIPPED");
        assertThat(payload.at("/steps/6/value").asString()).isEqualTo("opaque case");
        assertThat(payload.at("/steps/1/by").asString()).isEqualTo("Tom Brackett");
        assertThat(payload.at("/found/0").asString()).isEqualTo("DIRTY_TOP");
        assertThat(tom.page("/batteries/T-17")).contains("Look over the battery", "Top dirty");
        assertThat(jobs.byId(job).orElseThrow().isOpen()).isFalse();
    }

    @Test
    void whatWasFoundWrongStaysOpenUntilItIsPutRight() throws Exception {
        long job = begin(tom, "T-29", "inspect-daily");
        inspect(tom, job, "sound", "loose");
        say(tom, job, "finish", "", "");
        Defects.Defect defect = defects.openOf(battery("T-29").id(), null).get(0);
        assertThat(defect.kind()).isEqualTo(DefectKind.LOOSE_POST);
        tom.send("/defects/" + defect.id() + "/right", "remark", "");
        assertThat(defects.openById(defect.id())).isPresent();
        tom.send("/defects/" + defect.id() + "/right", "remark", "tightened to 12 Nm");
        assertThat(defects.openById(defect.id())).isEmpty();
        assertThat(newest("T-29").payload()).contains("tightened to 12 Nm");
    }

    @Test
    void theJobThatPutsADefectRightClosesIt() throws Exception {
        long battery = battery("T-24").id();
        long tomId =
                sql.fetchSingle("select id from person where login = 'tom'").get(0, Long.class);
        defects.open(battery, null, DefectKind.CORRODED_POST, "by hand", null, tomId);
        assertThat(tom.page("/jobs")).contains("/batteries/T-24/jobs/renew-connections");
        long job = begin(tom, "T-24", "renew-connections");
        for (List<String> step : List.of(
                List.of("off", ""),
                List.of("tools", ""),
                List.of("growth", "mild"),
                List.of("open", ""),
                List.of("lug", "sound"),
                List.of("washers", ""),
                List.of("torque", "25"),
                List.of("protect", ""))) {
            say(tom, job, "done", step.get(0), step.get(1));
        }
        say(tom, job, "finish", "", "");
        assertThat(defects.openOf(battery, null))
                .extracting(Defects.Defect::kind)
                .doesNotContain(DefectKind.CORRODED_POST);
    }

    @Test
    void aStopTellsWhatToDoThen() throws Exception {
        long job = begin(tom, "T-23", "inspect-daily");
        say(tom, job, "done", "parked", "");
        say(tom, job, "done", "case", "damaged");
        assertThat(tom.page("/jobs/" + job)).contains("Do not charge, jump or lift it", "Go on with: Answer a spill");
        say(tom, job, "finish", "", "");
        assertThat(newest("T-23").payload()).contains("\"stopped\":\"The case is cracked");
        assertThat(tom.send("/batteries/T-23/jobs/charge").getContentAsString()).contains("damaged case on record");
        long defect = defects.openOf(battery("T-23").id(), null).get(0).id();
        tom.send("/defects/" + defect + "/right", "remark", "it was dirt, washed and dry");
        assertThat(tom.page("/batteries/T-23/jobs/charge")).doesNotContain("damaged case on record");
    }

    @Test
    void badInputIsNamedAndStays() throws Exception {
        long job = begin(tom, "T-22", "cover-plates");
        say(tom, job, "done", "pour", "");
        MockHttpServletResponse answer = say(tom, job, "done", "poured", "9 litres");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString())
                .contains("“9 litres” is no number. Allowed is 0 to 50000 ml", "value=\"9 litres\"");
        assertThat(say(tom, job, "skip", "poured", "").getContentAsString()).contains("Say why");
        assertThat(tom.send("/jobs/" + job + "/dance").getStatus()).isEqualTo(404);
        assertThat(tom.send("/jobs/999999/done").getStatus()).isEqualTo(404);
    }
}
