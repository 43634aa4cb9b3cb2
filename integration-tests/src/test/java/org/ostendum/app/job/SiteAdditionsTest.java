package org.ostendum.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;

class SiteAdditionsTest extends JobsTest {
    @Autowired
    private SiteProcedures procedures;

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

    private void add(String procedure, String... fields) throws Exception {
        MockHttpServletResponse answer = maud.send("/procedures/" + procedure + "/additions", fields);
        assertThat(answer.getRedirectedUrl()).as(answer.getContentAsString()).isEqualTo("/procedures/" + procedure);
    }

    @Test
    void aSitesOwnHoldAndMeasurementStandInTheJobAndAreChecked() throws Exception {
        String[] hold = {"kind", "HOLD", "after", "off", "text", "The red tag hangs", "reason", "site rule 14"};
        add("renew-connections", hold);
        String[] torque = {
            "kind", "MEASURE", "text", "Set the wrench", "least", "8", "most", "12,5", "unit", "Nm", "reason", "maker"
        };
        add("renew-connections", torque);
        long job = begin(tom, "T-11", "renew-connections");
        assertThat(tom.page("/jobs/" + job)).contains("Set the wrench", "Nm");
        String measure = run(job).current().orElseThrow().id();
        assertThat(say(tom, job, "done", measure, "13").getContentAsString()).contains("8 to 12.5 Nm");
        say(tom, job, "done", measure, "9");
        say(tom, job, "done", "off", "");
        assertThat(run(job).current().orElseThrow().task()).isEqualTo(new Task.Hold("The red tag hangs"));
        sql.execute("delete from procedure_addition");
    }

    @Test
    void aSitesOwnGateIsAskedBeforeTheJob() throws Exception {
        assertThat(tom.page("/batteries/G-05/jobs/renew-connections")).doesNotContain("Fan on");
        add("renew-connections", "kind", "GATE", "gate", "FAN_ON", "reason", "the corner has no draught");
        assertThat(procedures.find("renew-connections").orElseThrow().gates()).contains(GateKey.FAN_ON);
        assertThat(tom.page("/procedures/renew-connections")).contains("Fan on", "the corner has no draught");
        sql.execute("delete from procedure_addition");
    }

    @ParameterizedTest
    @CsvSource({
        "MEASURE, least, ten, is no number",
        "MEASURE, most, 5, is not above 8",
        "MEASURE, unit, '', Write something",
        "GATE, gate, '', Choose one",
        "GATE, gate, TRAINED, Choose one",
        "HOLD, text, '', Write something",
        "STEP, after, nowhere, Choose one",
    })
    void whatCannotBeAddedIsNamed(String kind, String field, String value, String told) throws Exception {
        Map<String, String> fields = new HashMap<>(Map.of("kind", kind, "text", "Words", "reason", "site rule 3"));
        fields.putAll(Map.of("least", "8", "most", "12", "unit", "Nm", "gate", "FAN_ON"));
        fields.put(field, value);
        String[] sent = fields.entrySet().stream()
                .flatMap(e -> Stream.of(e.getKey(), e.getValue()))
                .toArray(String[]::new);
        MockHttpServletResponse answer = maud.send("/procedures/renew-connections/additions", sent);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(told);
    }

    /** The limit that stops a charge is the site's, and the job keeps the one it was begun under. */
    @Test
    void aTemperatureLimitFollowsTheRulebook() throws Exception {
        ProcedureFile file = procedures.file("finish-charge").orElseThrow();
        Rules strict = Rules.standard().with(Map.of(RuleKey.CHARGE_STOP, new BigDecimal("44")));
        assertThat(limitOf(file.under(strict, Duty.MOTIVE))).isEqualTo(44);
        assertThat(limitOf(file.under(strict, Duty.AIRCRAFT))).isEqualTo(46);
        assertThat(limitOf(file)).isEqualTo(49);
        ProcedureFile kept =
                ProcedureFile.ofJson(file.under(strict, Duty.MOTIVE).json());
        assertThat(limitOf(kept)).isEqualTo(44);
    }

    private static double limitOf(ProcedureFile file) {
        return file.procedure("finish-charge").steps().stream()
                .map(Step::task)
                .filter(Task.Measure.class::isInstance)
                .map(task -> ((Task.Measure) task).stopAbove())
                .filter(Objects::nonNull)
                .findFirst()
                .orElseThrow();
    }
}
