package org.ostendum.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.core.procedure.DefectKind;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.RunEvent.Kind;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.Defects;
import org.ostendum.web.store.EntryKind;
import org.ostendum.web.store.Jobs;
import org.ostendum.web.store.Ledger;
import org.ostendum.web.store.LedgerEntry;
import org.ostendum.web.store.Overrides;
import org.ostendum.web.store.Payload;
import org.ostendum.web.store.Rooms;
import org.ostendum.web.store.Stations;
import org.ostendum.web.support.AsPerson;
import org.ostendum.web.support.HouseTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

class JobTest extends HouseTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Ledger ledger;

    @Autowired
    private Overrides overrides;

    @Autowired
    private Defects defects;

    @Autowired
    private Stations stations;

    @Autowired
    private Rooms rooms;

    @Autowired
    private DSLContext sql;

    private AsPerson tom;
    private AsPerson ines;
    private AsPerson maud;

    @BeforeEach
    void people() {
        tom = AsPerson.tom(mvc);
        ines = new AsPerson(mvc, "ines", "TECHNICIAN");
        maud = AsPerson.maud(mvc);
    }

    private long begin(AsPerson person, String code, String procedure, String... fields) throws Exception {
        MockHttpServletResponse answer = person.send("/batteries/" + code + "/jobs/" + procedure, fields);
        assertThat(answer.getRedirectedUrl()).as(answer.getContentAsString()).startsWith("/jobs/");
        return Long.parseLong(answer.getRedirectedUrl().substring("/jobs/".length()));
    }

    private MockHttpServletResponse say(AsPerson person, long job, String kind, String about, String value)
            throws Exception {
        return person.send(
                "/jobs/" + job + "/" + kind, "key", UUID.randomUUID().toString(), "about", about, "value", value);
    }

    private Run run(long job) {
        return JobRunning.run(jobs.byId(job).orElseThrow(), jobs.events(job));
    }

    private Battery battery(String code) {
        return batteries.byCode(code).orElseThrow();
    }

    private LedgerEntry newest(String code) {
        return ledger.ofBattery(battery(code).id(), null, 1).get(0);
    }

    private void inspect(AsPerson person, long job, String caseFound, String postsFound) throws Exception {
        say(person, job, "done", "parked", "");
        say(person, job, "done", "case", caseFound);
        say(person, job, "done", "posts", postsFound);
        say(person, job, "done", "cables", "sound");
        say(person, job, "done", "plug", "sound");
        say(person, job, "done", "held", "sound");
        say(person, job, "skip", "colour", "opaque case");
    }

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

    /** T-18 is in a truck and has worked since its charge: water would overflow. */
    @Test
    void aShutGateSaysWhyAndIsOpenedTheRightWay() throws Exception {
        MockHttpServletResponse shut = tom.send("/batteries/T-18/jobs/water");
        assertThat(shut.getStatus()).isEqualTo(422);
        assertThat(shut.getContentAsString())
                .contains("water would overflow", "Open it by: Put on charge")
                .doesNotContain("Go through it");
        long charge = begin(tom, "T-18", "charge");
        for (String step : List.of("level", "whole", "open", "match", "plug", "on")) {
            String value =
                    switch (step) {
                        case "level" -> "covered";
                        case "whole" -> "whole";
                        case "match" -> "agree";
                        case "on" -> "starts";
                        default -> "";
                    };
            say(tom, charge, "done", step, value);
        }
        say(tom, charge, "finish", "", "");
        assertThat(newest("T-18").kind()).isEqualTo(EntryKind.CHARGE_START);
        assertThat(tom.send("/batteries/T-18/jobs/water").getContentAsString()).contains("is on charge since");
        long off = begin(tom, "T-18", "finish-charge");
        say(tom, off, "done", "evidence", "volts");
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
        assertThat(maud.page("/jobs/" + job)).contains("was gone through by Maud Ferrow");
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

    /** In a new house nobody is trained on record: who keeps safety is led to where that is written down. */
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
                    .contains("found wanting")
                    .doesNotContain("Begin the round");
            assertThat(tom.send("/batteries/T-12/round", "state", "FULL_CHARGE").getRedirectedUrl())
                    .isEqualTo("/batteries/T-12/round");
            assertThat(tom.page("/rooms/main")).contains("Shower by stand B: found wanting");
        } finally {
            oskar.send("/safety/stations/" + shower, "sound", "true", "remark", "");
        }
        assertThat(tom.page("/batteries/T-12/round")).doesNotContain("found wanting");
    }

    /** Water floats on top: no round before a charge, but by a lead's reason, and then it is judged by nobody. */
    @Test
    void noRoundBetweenWaterAndTheNextCharge() throws Exception {
        tom.send("/batteries/T-29/log", "kind", "WATER", "quantity", "900", "remark", "after the charge");
        assertThat(tom.page("/batteries/T-29/round"))
                .contains("the water floats on top", "Read all the same")
                .doesNotContain("Begin the round");
        assertThat(tom.send("/batteries/T-29/jobs/round-after-water").getStatus())
                .isEqualTo(422);
        begin(maud, "T-29", "round-after-water", "reason", "cell 3 spilled, wanted before tonight");
        assertThat(tom.page("/batteries/T-29/round")).contains("Begin the round");
        tom.send("/batteries/T-29/log", "kind", "CHARGE_END", "quantity", "200", "remark", "");
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
        assertThat(ines.page("/jobs/" + job)).contains("data-ends=");
        assertThat(say(ines, job, "back", "soda", "").getStatus()).isEqualTo(422);
        say(ines, job, "back", "soda", "foam was left");
        assertThat(run(job).current().orElseThrow().id()).isEqualTo("soda");
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

    @Test
    void aSitesOwnStepIsInTheJobsBegunAfterItAndTheOldOnesKeepTheirs() throws Exception {
        long before = begin(tom, "T-19", "renew-connections");
        assertThat(tom.send("/procedures/renew-connections/additions", "kind", "STEP")
                        .getStatus())
                .isEqualTo(403);
        assertThat(maud.send(
                                "/procedures/renew-connections/additions",
                                "kind",
                                "STEP",
                                "after",
                                "off",
                                "text",
                                "Hang the red tag on the handle.",
                                "reason",
                                "site rule 14")
                        .getRedirectedUrl())
                .isEqualTo("/procedures/renew-connections");
        long after = begin(tom, "T-29", "renew-connections");
        assertThat(run(before).procedure().steps()).noneMatch(s -> s.text().contains("red tag"));
        say(tom, after, "done", "off", "");
        assertThat(run(after).current().orElseThrow().text()).contains("red tag");
        Matcher own = Pattern.compile("additions/(\\d+)").matcher(maud.page("/procedures/renew-connections"));
        assertThat(own.find()).isTrue();
        maud.send("/procedures/renew-connections/additions/" + own.group(1));
        assertThat(maud.page("/procedures/renew-connections")).contains("line-through", "site rule 14");
        sql.execute("delete from procedure_addition");
    }
}
