package org.ostendum.app.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.util.List;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.support.AsPerson;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.procedure.RunEvent.Kind;
import org.ostendum.core.safety.StationCheck;
import org.springframework.mock.web.MockHttpServletResponse;

class GatesOfJobsTest extends JobsTest {
    /** T-18 is in a truck and has worked since its charge: water would overflow. */
    @Test
    void aShutGateSaysWhyAndIsOpenedTheRightWay() throws Exception {
        MockHttpServletResponse shut = tom.send("/batteries/T-18/jobs/water");
        assertThat(shut.getStatus()).isEqualTo(422);
        assertThat(shut.getContentAsString())
                .contains("water would overflow", "Open it by: Put on charge")
                .doesNotContain("Go through it");
        long charge = begin(tom, "T-18", "charge");
        for (String step : List.of("level", "whole", "warm", "open", "match", "plug", "on")) {
            String value =
                    switch (step) {
                        case "level" -> "covered";
                        case "whole" -> "whole";
                        case "warm" -> "hand-warm";
                        case "match" -> "agree";
                        case "on" -> "starts";
                        default -> "";
                    };
            say(tom, charge, "done", step, value);
        }
        say(tom, charge, "finish", "", "");
        assertThat(ledger.ofBattery(battery("T-18").id(), null, 2))
                .extracting(e -> e.kind())
                .containsExactly(EntryKind.JOB, EntryKind.CHARGE_START);
        assertThat(tom.send("/batteries/T-18/jobs/water").getContentAsString()).contains("is on charge since");
        long off = begin(tom, "T-18", "finish-charge");
        say(tom, off, "done", "evidence", "steady_voltage");
        say(tom, off, "done", "amp-hours", "431,5");
        say(tom, off, "done", "warmth", "31");
        say(tom, off, "done", "off", "");
        say(tom, off, "done", "cool", "");
        say(tom, off, "finish", "", "");
        assertThat(newest("T-18").kind()).isEqualTo(EntryKind.CHARGE_END);
        assertThat(newest("T-18").quantity()).isEqualByComparingTo("431.5");
        assertThat(begin(tom, "T-18", "water")).isPositive();
    }

    @Test
    void aLeadGoesThroughAGateWithAReasonThatStaysVisible() throws Exception {
        assertThat(maud.send("/batteries/T-14/jobs/water", "reason", "short").getStatus())
                .isEqualTo(422);
        long job = begin(maud, "T-14", "water", "reason", "charger broken, plates nearly bare");
        assertThat(jobs.events(job)).extracting(e -> e.event().kind()).containsExactly(Kind.GATE_OVERRIDDEN);
        Overrides.Overridden seen = overrides.unseen().stream()
                .filter(o -> o.jobId() == job)
                .findFirst()
                .orElseThrow();
        assertThat(tom.page("/jobs")).contains("charger broken, plates nearly bare");
        assertThat(maud.page("/jobs/" + job)).contains("was overridden by Maud Ferrow");
        assertThat(tom.send("/overrides/" + seen.eventId() + "/seen").getStatus())
                .isEqualTo(403);
        maud.send("/overrides/" + seen.eventId() + "/seen");
        assertThat(overrides.unseen()).noneMatch(o -> o.jobId() == job);
    }

    @Test
    void someGatesOpenByNoArgument() throws Exception {
        MockHttpServletResponse answer =
                maud.send("/batteries/A-1/jobs/inspect-aircraft", "reason", "I have seen it done a hundred times");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains("no training in aircraft on record");
    }

    /** In a new site nobody is trained on record: who keeps safety is led to where that is written down. */
    @Test
    void whoKeepsSafetyIsLedToTheTrainings() throws Exception {
        assertThat(maud.page("/batteries/A-1/jobs/inspect-aircraft")).contains("/safety#trainings");
        assertThat(tom.page("/batteries/A-1/jobs/inspect-aircraft")).doesNotContain("/safety#trainings");
    }

    @Test
    void anExpiredTrainingReadsOnly() throws Exception {
        assertThat(ines.page("/batteries/T-12/jobs/issue")).contains("Your training in battery changing counted until");
        assertThat(ines.send("/batteries/T-12/jobs/issue", "machine", "F1").getStatus())
                .isEqualTo(422);
    }

    /** T-12 weighs 930 kg; F7 wants 1340 kg, give or take 60. */
    @Test
    void theWrongWeightIsNotIssued() throws Exception {
        assertThat(tom.send("/batteries/T-12/jobs/issue", "machine", "F7").getContentAsString())
                .contains("weighs 930 kg", "The battery is its counterweight");
        assertThat(tom.send("/batteries/T-12/jobs/issue", "machine", "").getStatus())
                .isEqualTo(422);
    }

    @Test
    void noCapComesOffWhileTheShowerIsWanting() throws Exception {
        long room = rooms.names().get(0).id();
        long shower = stations.of(room).stream()
                .filter(s -> s.state().check() == StationCheck.SHOWER)
                .findFirst()
                .orElseThrow()
                .id();
        AsPerson oskar = AsPerson.oskar(mvc);
        oskar.send("/safety/stations/" + shower, "sound", "false", "remark", "handle broken");
        try {
            assertThat(tom.page("/batteries/T-12/round"))
                    .contains("not in order")
                    .doesNotContain("Begin the round");
            assertThat(tom.send("/batteries/T-12/round", "state", "FULL_CHARGE").getRedirectedUrl())
                    .isEqualTo("/batteries/T-12/round");
            assertThat(tom.page("/rooms/main")).contains("Shower by stand B: not in order");
        } finally {
            oskar.send("/safety/stations/" + shower, "sound", "true", "remark", "");
        }
        assertThat(tom.page("/batteries/T-12/round")).doesNotContain("not in order");
    }

    /** Water floats on top: no round before a charge, but by a lead's reason, and then it is judged by nobody. */
    @Test
    void noRoundBetweenWaterAndTheNextCharge() throws Exception {
        tom.send("/batteries/T-29/log", "kind", "WATER", "quantity", "900", "remark", "after the charge");
        assertThat(tom.page("/batteries/T-29/round"))
                .contains("no gassing charge has mixed it in since", "Read all the same")
                .doesNotContain("Begin the round");
        assertThat(tom.send("/batteries/T-29/jobs/round-after-water").getStatus())
                .isEqualTo(422);
        begin(maud, "T-29", "round-after-water", "reason", "cell 3 spilled, wanted before tonight");
        assertThat(tom.page("/batteries/T-29/round")).contains("Begin the round");
        tom.send("/batteries/T-29/log", "kind", "CHARGE_END", "quantity", "200", "remark", "");
    }

    /** A job is begun on what it is for, whatever is typed into the address. */
    @ParameterizedTest
    @CsvSource({
        "/room-jobs/acid-adjust",
        "/room-jobs/charge",
        "/batteries/T-19/jobs/inspect-aircraft",
        "/batteries/T-19/jobs/convert-aircraft",
        "/batteries/T-19/jobs/spill"
    })
    void aJobIsBegunOnWhatItIsFor(String path) throws Exception {
        int before = sql.fetchCount(DSL.table("job"));
        assertThat(tom.send(path).getStatus()).isEqualTo(404);
        assertThat(tom.ask(get(path)).getStatus()).isEqualTo(404);
        assertThat(sql.fetchCount(DSL.table("job"))).isEqualTo(before);
    }

    /** The safety officer halts a job on a battery; he does not work at it. */
    @Test
    void onlyWhoWorksOnBatteriesGoesOnWithTheirJobs() throws Exception {
        AsPerson oskar = AsPerson.oskar(mvc);
        long job = begin(tom, "T-12", "inspect-daily");
        String refused = oskar.send("/jobs/" + job + "/done", "about", "parked", "value", "")
                .getContentAsString();
        assertThat(refused).contains("technicians, mechanics and leads work on batteries");
        assertThat(jobs.events(job)).isEmpty();
        say(oskar, job, "pause", "", "smoke from the charger");
        assertThat(jobs.events(job)).extracting(e -> e.event().kind()).containsExactly(Kind.PAUSED);
    }

    @Test
    void aJobIsHandedToAColleagueAndPausedInALine() throws Exception {
        long job = begin(tom, "T-11", "inspect-daily");
        for (String nobody : List.of("", "Nobody", "Vera Ostrow", "x".repeat(70_000))) {
            assertThat(say(tom, job, "hand-over", "", nobody).getStatus()).isEqualTo(422);
        }
        assertThat(say(tom, job, "pause", "", "x".repeat(70_000)).getContentAsString())
                .contains("70,000", "400");
        assertThat(jobs.events(job)).isEmpty();
        say(tom, job, "hand-over", "", people("ines"));
        assertThat(jobs.events(job)).extracting(e -> e.event().kind()).containsExactly(Kind.HANDED_OVER);
    }

    private String people(String login) {
        return sql.fetchSingle("select name from person where login = ?", login).get(0, String.class);
    }
}
