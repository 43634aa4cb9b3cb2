package org.ostendum.app.kills;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.sql.Statement;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;

/** Inspects a battery step by step, each step with a key of its own and sent again until it is answered, as the page does. */
final class RunJobs extends Worker {
    private static final List<String> LOOKED_AT = List.of("case", "posts", "cables", "plug", "held");

    private final Set<String> answered = new HashSet<>();
    private int finished;

    RunJobs(int port, String battery) {
        super(port, "ines", battery);
    }

    @Override
    void deed() throws Exception {
        String job = begin();
        if (job == null) {
            return;
        }
        say(job, "done", "parked", "");
        for (String part : LOOKED_AT) {
            say(job, "done", part, "sound");
        }
        say(job, "skip", "colour", "opaque case");
        say(job, "finish", "", "");
        finished += isDone() ? 0 : 1;
    }

    /** One that was begun without an answer is open: it is gone on with. */
    private String begin() throws Exception {
        while (!isDone()) {
            HttpResponse<String> answer = once(() -> visitor.post("/batteries/" + battery + "/jobs/inspect-daily"));
            String to = answer == null
                    ? ""
                    : answer.headers().firstValue("Location").orElse("");
            if (to.startsWith("/jobs/")) {
                return to;
            }
            assertThat(answer == null ? 0 : answer.statusCode())
                    .as("an inspection may always begin")
                    .isZero();
        }
        return null;
    }

    private void say(String job, String kind, String about, String value) throws Exception {
        String key = UUID.randomUUID().toString();
        while (!isDone()) {
            HttpResponse<String> answer =
                    once(() -> visitor.post(job + "/" + kind, "key", key, "about", about, "value", value));
            if (answer != null) {
                assertThat(answer.statusCode()).as(kind + " " + about).isEqualTo(302);
                answered.add(key);
                return;
            }
        }
    }

    @Override
    void check(Statement statement) throws Exception {
        String ofBattery = " where battery_id = (select id from battery where code = '" + battery + "')";
        assertThat(ManyKills.ask(
                        statement,
                        "select client_key from job_event where job_id in (select id from job" + ofBattery + ")"))
                .containsAll(answered);
        Set<String> lines = ManyKills.ask(
                statement,
                "select ledger_entry_id from job" + ofBattery + " and procedure_id = 'inspect-daily' and status ="
                        + " 'FINISHED' and ledger_entry_id is not null");
        assertThat(lines).hasSizeGreaterThanOrEqualTo(finished);
    }

    @Override
    int answered() {
        return answered.size();
    }

    @Override
    String told() {
        return answered.size() + " steps of " + finished + " finished jobs on " + battery;
    }
}
