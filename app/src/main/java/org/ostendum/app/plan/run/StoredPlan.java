package org.ostendum.app.plan.run;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.api.PlanRequest;
import org.ostendum.app.form.PlainTime;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.room.PlanSite;
import org.ostendum.core.plan.room.Task;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;

/** Problems and plans as they are kept: in the form in which programs send them, so that the house plans through the very same problem. */
@Component
class StoredPlan {
    private final JsonMapper json = JsonMapper.builder()
            .enable(EnumFeature.WRITE_ENUMS_TO_LOWERCASE)
            .changeDefaultVisibility(seen -> seen.withIsGetterVisibility(Visibility.NONE))
            .addMixIn(PlanProblem.class, AsSent.class)
            .build();

    /** Programs send what is there beside the rest. */
    interface AsSent {
        @JsonUnwrapped
        PlanSite site();
    }

    StoredPlan() {}

    String write(PlanProblem problem) {
        return json.writeValueAsString(problem);
    }

    String write(Plan plan) {
        return json.writeValueAsString(plan);
    }

    PlanProblem problem(String text) {
        return PlanRequest.read(json.readTree(text));
    }

    Plan plan(String text) {
        JsonNode node = json.readTree(text);
        List<PlanJob> bare = PlanRequest.readPlan(node).jobs();
        List<PlanJob> jobs = new ArrayList<>();
        for (int i = 0; i < bare.size(); i++) {
            Message reason = message(node.path("jobs").path(i).path("reason"));
            jobs.add(reason == null ? bare.get(i) : bare.get(i).withReason(reason));
        }
        return new Plan(
                jobs,
                node.path("unmet").valueStream().map(StoredPlan::unmet).toList(),
                node.path("terms").valueStream().map(StoredPlan::term).toList(),
                node.path("seconds").asDouble(),
                node.path("valid").asBoolean());
    }

    private static Plan.Unmet unmet(JsonNode un) {
        String due = text(un.path("due"));
        return new Plan.Unmet(
                text(un.path("machine")),
                text(un.path("shift")),
                text(un.path("battery")),
                due == null ? null : Task.find(due).orElseThrow(),
                Instant.parse(un.path("since").asString()),
                Objects.requireNonNull(message(un.path("why"))));
    }

    private static Plan.TermCost term(JsonNode term) {
        return new Plan.TermCost(
                Term.find(term.path("term").asString()).orElseThrow(),
                term.path("weight").asDouble(),
                term.path("amount").asDouble(),
                term.path("cost").asDouble());
    }

    private static @Nullable String text(JsonNode node) {
        return node.isString() ? node.asString() : null;
    }

    /** Moments and whole numbers become again what they were. */
    private static @Nullable Message message(JsonNode node) {
        if (!node.isObject()) {
            return null;
        }
        List<Object> arguments = new ArrayList<>();
        node.path("arguments").forEach(argument -> arguments.add(argument(argument)));
        return new Message(node.path("key").asString(), arguments);
    }

    private static Object argument(JsonNode argument) {
        if (argument.isNumber()) {
            return argument.isInt() ? (Object) argument.asInt() : (Object) argument.asDouble();
        }
        String text = argument.asString();
        return PlainTime.parse(text).map(Object.class::cast).orElse(text);
    }
}
