package org.ostendum.app.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.support.TestWords;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.check.PlanChecker;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.core.plan.room.Task;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.json.JsonMapper;

/** What is told of the call by its schemas and its example is what it takes and gives. */
class PlanSchemasTest {
    private static final JsonMapper JSON = JsonMapper.shared();

    private static String file(String name) throws IOException {
        return new ClassPathResource(name).getContentAsString(StandardCharsets.UTF_8);
    }

    private static JsonSchema schema(String name) throws IOException {
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(file("schemas/" + name + ".json"));
    }

    @Test
    void theExampleFitsItsSchemaAndIsPlanned() throws IOException {
        String example = file("openapi/plan.json");
        assertThat(schema("plan-problem").validate(example, InputFormat.JSON)).isEmpty();
        PlanProblem problem = PlanRequest.read(JSON.readTree(example));
        Plan plan = PlanMaker.byRuleOfThumb(problem);
        assertThat(PlanChecker.check(problem, plan)).isEmpty();
        assertThat(plan.jobs())
                .extracting(PlanJob::what)
                .contains(Task.CHARGE, Task.COOL, Task.CHANGE, Task.USE, Task.WATER);
        assertThat(schema("plan")
                        .validate(JSON.writeValueAsString(PlanAnswer.of(plan, TestWords.metric())), InputFormat.JSON))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{}|from",
                "{'from':'2026-11-30T14:00:00Z','until':'2026-12-01T14:00:00Z','machines':[{'code':'F','volts':48,'refuses':['X']}]}|machines[0].refuses",
                "{'from':'2026-11-30T14:00:00Z','until':'2026-11-30T13:00:00Z'}|until",
                "{'from':'2026-11-30T14:00:00Z','until':'2027-11-30T13:00:00Z'}|until",
                "{'from':'2026-11-30T14:00:00Z','until':'2026-12-01T14:00:00Z','seconds':900}|seconds",
                "{'from':'2026-11-30T14:00:00Z','until':'2026-12-01T14:00:00Z','batteries':[{'code':'A','volts':48,'capacityAh':100},{'code':'A','volts':48,'capacityAh':100}]}|batteries[1].code",
                "{'from':'2026-11-30T14:00:00Z','until':'2026-12-01T14:00:00Z','charging':[{'battery':'X','charger':'Y','minutesPerAh':1,'finishMinutes':1}]}|charging[0].battery",
                "{'from':'2026-11-30T14:00:00Z','until':'2026-12-01T14:00:00Z','machines':[{'code':'F','volts':48,'fixed':true}]}|machines[0].battery",
                "{'from':'2026-11-30T14:00:00Z','until':'2026-12-01T14:00:00Z','people':[{'code':'t','may':['fly']}]}|people[0].may",
                "{'from':'2026-11-30T14:00:00Z','until':'2026-12-01T14:00:00Z','weights':{'luck':1}}|weights.luck",
                "{'from':'2026-11-30T14:00:00Z','until':'2026-12-01T14:00:00Z','batteries':[{'code':'A','volts':48,'capacityAh':100,'due':[{'what':'use','from':'2026-11-30T14:00:00Z','until':'2026-11-30T14:00:00Z','minutes':1}]}]}|batteries[0].due[0].what"
            })
    void whatDoesNotFitIsToldByItsPath(String json, String field) {
        assertThatThrownBy(() -> PlanRequest.read(JSON.readTree(json.replace('\'', '"'))))
                .isInstanceOfSatisfying(
                        ApiProblem.class, problem -> assertThat(problem.field()).isEqualTo(field));
    }
}
