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
import org.ostendum.core.procedure.Step;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** Jobs begun and talked to as a browser would. */
public abstract class JobsTest extends ApplicationTest {
    @Autowired
    protected MockMvc mvc;

    @Autowired
    protected Batteries batteries;

    @Autowired
    protected Jobs jobs;

    @Autowired
    protected Ledger ledger;

    @Autowired
    Overrides overrides;

    @Autowired
    protected Defects defects;

    @Autowired
    protected Stations stations;

    @Autowired
    protected Rooms rooms;

    @Autowired
    protected DSLContext sql;

    protected AsPerson tom;
    protected AsPerson ines;
    protected AsPerson maud;

    @BeforeEach
    protected void people() {
        tom = AsPerson.tom(mvc);
        ines = new AsPerson(mvc, "ines", "TECHNICIAN");
        maud = AsPerson.maud(mvc);
    }

    protected long begin(AsPerson person, String code, String procedure, String... fields) throws Exception {
        MockHttpServletResponse answer = person.send("/batteries/" + code + "/jobs/" + procedure, fields);
        assertThat(answer.getRedirectedUrl()).as(answer.getContentAsString()).startsWith("/jobs/");
        return Long.parseLong(answer.getRedirectedUrl().substring("/jobs/".length()));
    }

    protected MockHttpServletResponse say(AsPerson person, long job, String kind, String about, String value)
            throws Exception {
        return person.send(
                "/jobs/" + job + "/" + kind, "key", UUID.randomUUID().toString(), "about", about, "value", value);
    }

    protected Run run(long job) {
        return JobRunning.run(jobs.byId(job).orElseThrow(), jobs.events(job));
    }

    protected Battery battery(String code) {
        return batteries.byCode(code).orElseThrow();
    }

    protected LedgerEntry newest(String code) {
        return ledger.ofBattery(battery(code).id(), null, 1).get(0);
    }

    /** Confirms and answers rightly whatever comes before a step; fails where a step before it wants a figure. */
    protected void until(AsPerson person, long job, String step) throws Exception {
        Step current = run(job).current().orElseThrow();
        while (!current.id().equals(step)) {
            say(person, job, "done", current.id(), current.rightAnswer().orElseThrow());
            assertThat(run(job).settled(current.id())).as(current.id()).isPresent();
            current = run(job).current().orElseThrow();
        }
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
