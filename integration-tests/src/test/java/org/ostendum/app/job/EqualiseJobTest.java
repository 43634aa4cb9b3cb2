package org.ostendum.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;

class EqualiseJobTest extends JobsTest {
    private MockHttpServletResponse row(long job, String gravity, String temperature) throws Exception {
        return tom.send(
                "/jobs/" + job + "/row",
                "key",
                UUID.randomUUID().toString(),
                "about",
                "lowest",
                "gravity",
                gravity,
                "temperature",
                temperature);
    }

    @Test
    void itGoesOnUntilTheLowestCellHasStoppedRising() throws Exception {
        long job = begin(tom, "G-01", "equalise");
        say(tom, job, "done", "full", "just");
        say(tom, job, "done", "covered", "covered");
        say(tom, job, "done", "open", "");
        say(tom, job, "done", "warm", "hand-warm");
        say(tom, job, "done", "match", "agree");
        say(tom, job, "done", "start", "");
        assertThat(tom.page("/jobs/" + job)).contains("3 more hourly readings");
        assertThat(row(job, "", "30").getContentAsString()).contains("Type the gravity of the lowest cell");
        assertThat(row(job, "9", "30").getStatus()).isEqualTo(422);
        assertThat(row(job, "268", "30").getStatus()).isEqualTo(302);
        // A second reading at once is no hourly one.
        assertThat(row(job, "268", "30").getStatus()).isEqualTo(302);
        assertThat(tom.page("/jobs/" + job))
                .contains("2 more hourly readings", "The next reading counts from", "1.272");
        assertThat(say(tom, job, "done", "lowest", "").getContentAsString())
                .contains("Not yet: 2 more hourly readings");
        assertThat(run(job).current().orElseThrow().id()).isEqualTo("lowest");
    }

    /** Rows from a sheet of paper count at the hour at which they were read. */
    @Test
    void rowsReadEarlierAreWrittenWithTheirTime() throws Exception {
        long job = begin(tom, "G-03", "equalise");
        for (String[] step : new String[][] {
            {"full", "just"},
            {"covered", "covered"},
            {"open", ""},
            {"warm", "hand-warm"},
            {"match", "agree"},
            {"start", ""}
        }) {
            say(tom, job, "done", step[0], step[1]);
        }
        for (String ago : List.of("4 h ago", "2 h ago", "3 h ago", "1 h ago")) {
            assertThat(at(job, ago).getStatus()).as(ago).isEqualTo(302);
        }
        assertThat(tom.page("/jobs/" + job)).contains("stopped rising").doesNotContain("more hourly readings");
        assertThat(at(job, "in an hour").getContentAsString()).contains("is no time", "2 h ago");
        assertThat(at(job, "2020-01-01 10:00").getContentAsString()).contains("more than 7 days back");
    }

    private MockHttpServletResponse at(long job, String when) throws Exception {
        return tom.send(
                "/jobs/" + job + "/row",
                "key",
                UUID.randomUUID().toString(),
                "about",
                "lowest",
                "gravity",
                "275",
                "temperature",
                "30",
                "when",
                when);
    }

    @Test
    void tooHotIsSaidAndWhatIsNotFullIsChargedFirst() throws Exception {
        long job = begin(tom, "G-02", "equalise");
        say(tom, job, "done", "full", "just");
        say(tom, job, "done", "covered", "covered");
        say(tom, job, "done", "open", "");
        say(tom, job, "done", "warm", "hand-warm");
        say(tom, job, "done", "match", "agree");
        say(tom, job, "done", "start", "");
        row(job, "275", "50");
        assertThat(tom.page("/jobs/" + job)).contains("Stop: 49 °C is the limit");
        MockHttpServletResponse refused = tom.send("/batteries/T-23/jobs/equalise");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString()).contains("a low current on it would only heat", "Put on charge");
    }
}
