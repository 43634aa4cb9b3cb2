package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.ostendum.app.db.Payload;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.people.People;
import org.ostendum.app.plan.run.PlanRun;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** The first thing that a plan has in mind for a battery has to be possible as the battery is. */
class PlanAndGatesTest extends JobsTest {
    private static final Set<Task> THROUGH_GATES = Set.of(Task.CHARGE, Task.WATER, Task.ROUND, Task.WASH);
    /** Of the room and of who looks: other tests may have shut them, and the plan's people are others. */
    private static final Set<String> NOT_OF_THE_BATTERY = Set.of("station_ready", "trained", "fan_on", "gas_low");

    @Autowired
    private Planning planning;

    @Autowired
    private PlanRuns runs;

    @Autowired
    private People people;

    private List<String> shut(PlanJob job) {
        try {
            JsonNode state = Payload.read(
                    mvc.perform(get("/api/v1/batteries/" + job.battery()).with(httpBasic("maud", "lanternmoor")))
                            .andReturn()
                            .getResponse()
                            .getContentAsString());
            return StreamSupport.stream(state.path("gates").spliterator(), false)
                    .filter(gate ->
                            gate.path("job").asString().equals(job.what().word())
                                    && gate.path("state").asString().equals("shut"))
                    .map(gate -> gate.path("gate").asString())
                    .filter(gate -> !NOT_OF_THE_BATTERY.contains(gate))
                    .toList();
        } catch (Exception e) {
            throw new AssertionError(job.battery(), e);
        }
    }

    @Test
    void noPlanBeginsAtAShutGate() {
        planning.takeAtOnce(people.byLogin("maud").orElseThrow().id());
        PlanRun run = planning.inForce().orElseThrow();
        Map<String, PlanJob> first = runs.plan(run.id()).orElseThrow().jobs().stream()
                .filter(job -> job.what() != Task.COOL && job.end().isAfter(run.from()))
                .collect(Collectors.toMap(
                        PlanJob::battery,
                        job -> job,
                        (a, b) -> Comparator.comparing(PlanJob::start).compare(a, b) <= 0 ? a : b));
        List<PlanJob> begun = first.values().stream()
                .filter(job ->
                        THROUGH_GATES.contains(job.what()) && !job.start().isBefore(run.from()))
                .toList();
        assertThat(begun).hasSizeGreaterThan(8).allSatisfy(job -> assertThat(shut(job))
                .as(job.what() + " of " + job.battery() + " at " + job.start())
                .isEmpty());
    }
}
