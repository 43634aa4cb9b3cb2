package org.ostendum.app.plan.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.app.db.jooq.Tables.PLAN_RUN;
import static org.ostendum.app.db.jooq.Tables.SCHEDULED_TASKS;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.people.People;
import org.ostendum.app.plan.Planning;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Patience;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.planner.PlanSearch;
import org.springframework.beans.factory.annotation.Autowired;

/** Several instances on one database: each plan is searched once, by one of them, and what a dead one left is taken up. */
class PlanWorkTest extends ApplicationTest {
    private static final Duration HEARTBEAT = Duration.ofMillis(500);

    @Autowired
    private Planning planning;

    @Autowired
    private PlanRuns runs;

    @Autowired
    private PlanWork ofTheApplication;

    @Autowired
    private Clock clock;

    @Autowired
    private DataSource database;

    @Autowired
    private DSLContext sql;

    @Autowired
    private People people;

    private final List<Instance> instances = new ArrayList<>();

    /** Goes no further with its first search before as many have begun theirs as are to be at work at the same time. */
    private final class Instance extends PlanWork {
        private final Set<Long> searched = ConcurrentHashMap.newKeySet();
        private final CountDownLatch together;

        Instance(CountDownLatch together) {
            super(runs, clock, database, true, HEARTBEAT);
            this.together = together;
        }

        @Override
        Plan find(long run, PlanProblem problem, Consumer<PlanSearch.Progress> told) {
            assertThat(searched.add(run)).isTrue();
            together.countDown();
            try {
                assertThat(together.await(30, TimeUnit.SECONDS)).isTrue();
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
            // What other tests have pinned in the plan in force may be broken by now.
            return PlanMaker.byRuleOfThumb(problem.withoutPins());
        }
    }

    @BeforeEach
    void others() {
        ofTheApplication.stop();
    }

    @AfterEach
    void again() {
        instances.forEach(PlanWork::stop);
        ofTheApplication.start();
    }

    private void start(int many) {
        CountDownLatch together = new CountDownLatch(many);
        for (int i = 0; i < many; i++) {
            Instance instance = new Instance(together);
            instances.add(instance);
            instance.start();
        }
    }

    private long asked() {
        return planning.ask(
                Duration.ofHours(12), "", people.byLogin("maud").orElseThrow().id());
    }

    private String state(long run) {
        return sql.fetchSingle(PLAN_RUN, PLAN_RUN.ID.eq(run)).getState();
    }

    private @Nullable String fault(long run) {
        return sql.fetchSingle(PLAN_RUN, PLAN_RUN.ID.eq(run)).getFault();
    }

    private void untilProposed(List<Long> asked) {
        Patience.await("plans", Duration.ofSeconds(40)).until(() -> asked.stream()
                .noneMatch(run -> Set.of("WAITING", "SEARCHING").contains(state(run))));
        assertThat(asked)
                .as("what went wrong with them")
                .extracting(this::fault)
                .containsOnlyNulls();
    }

    @Test
    void eachOfSeveralInstancesTakesItsOwn() {
        List<Long> asked = List.of(asked(), asked(), asked(), asked());
        start(2);
        untilProposed(asked);
        assertThat(instances).allMatch(instance -> !instance.searched.isEmpty());
        assertThat(instances.stream().flatMap(instance -> instance.searched.stream()))
                .containsExactlyInAnyOrderElementsOf(asked);
    }

    @Test
    void whatAKilledInstanceHadBegunIsTakenUpByAnother() {
        long run = asked();
        assertThat(runs.begin(run)).isTrue();
        Instant dead = Instant.parse("2026-01-01T00:00:00Z");
        sql.update(SCHEDULED_TASKS)
                .set(SCHEDULED_TASKS.PICKED, true)
                .set(SCHEDULED_TASKS.PICKED_BY, "one that was killed")
                .set(SCHEDULED_TASKS.LAST_HEARTBEAT, dead)
                .where(SCHEDULED_TASKS.TASK_INSTANCE.eq(String.valueOf(run)))
                .execute();
        start(1);
        untilProposed(List.of(run));
        assertThat(instances.get(0).searched).containsExactly(run);
    }
}
