package org.ostendum.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.core.procedure.Run;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** Jobs begun and talked to as a browser would. */
abstract class JobsTest extends ApplicationTest {
    @Autowired
    MockMvc mvc;

    @Autowired
    Batteries batteries;

    @Autowired
    Jobs jobs;

    @Autowired
    Ledger ledger;

    @Autowired
    Overrides overrides;

    @Autowired
    Defects defects;

    @Autowired
    Stations stations;

    @Autowired
    Rooms rooms;

    @Autowired
    DSLContext sql;

    AsPerson tom;
    AsPerson ines;
    AsPerson maud;

    @BeforeEach
    void people() {
        tom = AsPerson.tom(mvc);
        ines = new AsPerson(mvc, "ines", "TECHNICIAN");
        maud = AsPerson.maud(mvc);
    }

    long begin(AsPerson person, String code, String procedure, String... fields) throws Exception {
        MockHttpServletResponse answer = person.send("/batteries/" + code + "/jobs/" + procedure, fields);
        assertThat(answer.getRedirectedUrl()).as(answer.getContentAsString()).startsWith("/jobs/");
        return Long.parseLong(answer.getRedirectedUrl().substring("/jobs/".length()));
    }

    MockHttpServletResponse say(AsPerson person, long job, String kind, String about, String value) throws Exception {
        return person.send(
                "/jobs/" + job + "/" + kind, "key", UUID.randomUUID().toString(), "about", about, "value", value);
    }

    Run run(long job) {
        return JobRunning.run(jobs.byId(job).orElseThrow(), jobs.events(job));
    }

    Battery battery(String code) {
        return batteries.byCode(code).orElseThrow();
    }

    LedgerEntry newest(String code) {
        return ledger.ofBattery(battery(code).id(), null, 1).get(0);
    }

    void inspect(AsPerson person, long job, String caseFound, String postsFound) throws Exception {
        say(person, job, "done", "parked", "");
        say(person, job, "done", "case", caseFound);
        say(person, job, "done", "posts", postsFound);
        say(person, job, "done", "cables", "sound");
        say(person, job, "done", "plug", "sound");
        say(person, job, "done", "held", "sound");
        say(person, job, "skip", "colour", "opaque case");
    }
}
