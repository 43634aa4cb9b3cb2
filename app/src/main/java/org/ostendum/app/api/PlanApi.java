package org.ostendum.app.api;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.concurrent.Semaphore;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.BrokenPlan;
import org.ostendum.planner.PlanSearch;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Plans a room that a program sends; nothing of it is kept. */
@RestController
class PlanApi {
    /** Each search keeps one core busy. */
    private static final int AT_ONCE = 2;

    private static final Set<String> SCHEMAS = Set.of("plan-problem", "plan");

    private final Semaphore free = new Semaphore(AT_ONCE);

    PlanApi() {}

    @PostMapping(path = "/api/v1/plan", consumes = "application/json", produces = "application/json")
    PlanAnswer plan(@RequestBody JsonNode body, Words words) {
        PlanProblem problem = PlanRequest.read(body);
        if (!free.tryAcquire()) {
            throw new ApiProblem(
                    HttpStatus.SERVICE_UNAVAILABLE, "", "Two plans are being searched already. Try again in a minute.");
        }
        try {
            return PlanAnswer.of(PlanSearch.timed(problem).disturbingLittle().run(progress -> {}), words);
        } catch (BrokenPlan e) {
            throw new ApiProblem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "pinned",
                    "What is pinned breaks a hard rule: " + e.getMessage() + ". Allowed are jobs of a valid plan.");
        } finally {
            free.release();
        }
    }

    @GetMapping(path = "/api/v1/schemas/{name}", produces = "application/schema+json")
    String schema(@PathVariable String name) throws IOException {
        if (!SCHEMAS.contains(name)) {
            throw new NotFound("schema " + name + "; there are " + String.join(" and ", SCHEMAS));
        }
        return new ClassPathResource("schemas/" + name + ".json").getContentAsString(StandardCharsets.UTF_8);
    }
}
