package org.ostendum.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.defect.DefectKind;
import org.springframework.mock.web.MockHttpServletResponse;

class JobsByTwoTest extends JobsTest {
    @Test
    void twoPeopleOnOneJobNeverLoseAStep() throws Exception {
        long job = begin(tom, "T-24", "top-leak");
        assertThat(begin(ines, "T-24", "top-leak")).isEqualTo(job);
        say(tom, job, "done", "meter", "");
        MockHttpServletResponse late = say(ines, job, "done", "meter", "");
        assertThat(late.getRedirectedUrl()).isEqualTo("/jobs/" + job);
        assertThat(jobs.events(job)).hasSize(1);
        ines.send("/jobs/" + job + "/row", "key", "k1", "about", "probe", "cell", "3", "volts", "0,62");
        ines.send("/jobs/" + job + "/row", "key", "k1", "about", "probe", "cell", "3", "volts", "0,62");
        assertThat(run(job).rows()).hasSize(1);
        assertThat(tom.page("/jobs/" + job)).contains("0.62 V", "The top is washed");
        say(ines, job, "done", "probe", "");
        say(ines, job, "finish", "", "");
        assertThat(say(tom, job, "finish", "", "").getRedirectedUrl()).isEqualTo("/jobs/" + job);
        assertThat(ledger.ofBattery(battery("T-24").id(), null, 20))
                .filteredOn(l -> l.payload().contains("\"job\":" + job + ","))
                .hasSize(1);
        assertThat(defects.openOf(battery("T-24").id(), null))
                .extracting(Defects.Defect::kind)
                .containsExactly(DefectKind.DIRTY_TOP);
    }

    @Test
    void aBatteryMovedMeanwhileKeepsItsJob() throws Exception {
        long job = begin(tom, "T-28", "inspect-daily");
        say(tom, job, "done", "parked", "");
        Battery was = battery("T-28");
        batteries.place(was.id(), null, null);
        try {
            inspect(tom, job, "sound", "sound");
            say(tom, job, "finish", "", "");
            assertThat(newest("T-28").payload()).contains("\"job\":" + job + ",");
        } finally {
            batteries.place(was.id(), was.slotId(), was.machineId());
        }
    }

    @Test
    void aJobIsPausedHandedOverAndGoneOnWith() throws Exception {
        long job = begin(tom, "T-12", "wash");
        say(tom, job, "done", "off", "");
        say(tom, job, "pause", "", "");
        assertThat(say(tom, job, "done", "soda", "").getStatus()).isEqualTo(422);
        say(tom, job, "hand-over", "", "Ines Halloway");
        say(ines, job, "resume", "", "");
        assertThat(run(job).holder()).isEqualTo("Ines Halloway");
        say(ines, job, "done", "soda", "");
        assertThat(say(ines, job, "done", "wait", "").getContentAsString()).contains("Start the clock first");
        say(ines, job, "timer", "wait", "");
        assertThat(say(ines, job, "done", "wait", "").getContentAsString()).contains("Not yet: 5 min more");
        assertThat(ines.page("/jobs/" + job)).contains("data-left=");
        assertThat(say(ines, job, "back", "soda", "").getStatus()).isEqualTo(422);
        say(ines, job, "back", "soda", "foam was left");
        assertThat(run(job).current().orElseThrow().id()).isEqualTo("soda");
    }
}
