package org.ostendum.app.plan.run;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javax.sql.DataSource;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.BrokenPlan;
import org.ostendum.planner.PlanSearch;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Takes up plans to be searched, through the scheduler's table: of several instances one does each, and one that is killed in the middle
 * is taken up again by another.
 */
@Component
public class PlanWork implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(PlanWork.class);
    /** Long ago by any clock: it is taken up as soon as somebody is free. */
    private static final Instant AT_ONCE = Instant.EPOCH.plus(Duration.ofDays(1));

    private static final Duration POLLED = Duration.ofSeconds(1);
    private static final Duration TOLD_EVERY = Duration.ofMillis(400);

    private final PlanRuns runs;
    private final Clock clock;
    private final OneTimeTask<Void> task;
    private final DataSource database;
    private final boolean searches;
    private final Duration heartbeat;
    private final Map<Long, PlanSearch> searching = new ConcurrentHashMap<>();
    private volatile Scheduler scheduler;

    /**
     * @param searches whether this instance takes up searches, or leaves them to others
     * @param heartbeat how often it says that it is still at one; what has not been said for six of them is taken up by another
     */
    PlanWork(
            PlanRuns runs,
            Clock clock,
            DataSource database,
            @Value("${ostendum.plan.searches}") boolean searches,
            @Value("${ostendum.plan.heartbeat}") Duration heartbeat) {
        this.runs = runs;
        this.clock = clock;
        this.database = database;
        this.searches = searches;
        this.heartbeat = heartbeat;
        this.task = Tasks.oneTime("plan").execute((instance, context) -> search(Long.parseLong(instance.getId())));
        this.scheduler = scheduler();
    }

    private Scheduler scheduler() {
        return Scheduler.create(database, task)
                .threads(1)
                .pollingInterval(POLLED)
                .heartbeatInterval(heartbeat)
                .enableImmediateExecution()
                .alwaysPersistTimestampInUTC()
                .build();
    }

    /** Lets a plan be searched by whoever is free first. */
    public void ask(long run) {
        scheduler.schedule(task.instance(String.valueOf(run)), AT_ONCE);
    }

    private void search(long run) {
        if (!runs.begin(run)) {
            return;
        }
        try {
            Teller teller = new Teller(run);
            runs.propose(run, find(run, runs.problem(run), teller::tell), clock.instant());
        } catch (BrokenPlan e) {
            runs.fail(run, String.valueOf(e.getMessage()), clock.instant());
        } catch (RuntimeException e) {
            LOG.warn("The search of plan {} ended with a fault", run, e);
            runs.fail(run, String.valueOf(e.getMessage()), clock.instant());
        }
    }

    Plan find(long run, PlanProblem problem, Consumer<PlanSearch.Progress> told) {
        return found(run, problem, UnaryOperator.identity(), told);
    }

    /**
     * The quick plan after something has gone wrong, which disturbs little.
     *
     * @throws BrokenPlan where what runs already cannot go on so
     */
    public Plan findAgain(long run, PlanProblem problem) {
        return found(run, problem, PlanSearch::disturbingLittle, progress -> {});
    }

    /**
     * Where what people have pinned cannot be kept in the house as it is now, it is let go, and the plan's problem says so.
     *
     * @throws BrokenPlan where that does not help either
     */
    private Plan found(
            long run, PlanProblem problem, UnaryOperator<PlanSearch> how, Consumer<PlanSearch.Progress> told) {
        try {
            return searched(run, problem, how, told);
        } catch (BrokenPlan e) {
            LOG.info("Plan {}: what was pinned is let go, {}", run, e.getMessage());
            PlanProblem free = problem.withoutPins();
            runs.change(run, free);
            return searched(run, free, how, told);
        }
    }

    private Plan searched(
            long run, PlanProblem problem, UnaryOperator<PlanSearch> how, Consumer<PlanSearch.Progress> told) {
        PlanSearch search = how.apply(PlanSearch.timed(problem));
        searching.put(run, search);
        try {
            return search.run(told);
        } finally {
            searching.remove(run);
        }
    }

    /** Writes down what is best so far, not more often than anybody can read it. */
    private final class Teller {
        private final long run;
        private long toldAt;

        Teller(long run) {
            this.run = run;
        }

        void tell(PlanSearch.Progress progress) {
            long now = System.nanoTime();
            if (now - toldAt > TOLD_EVERY.toNanos()) {
                toldAt = now;
                runs.best(run, progress.shiftsUnmet(), progress.cost());
            }
        }
    }

    /** Whoever asked may be at another instance: the wish stands in the table. */
    @Scheduled(fixedDelay = 500)
    void stopWhatIsAsked() {
        searching.forEach((run, search) -> {
            if (runs.isStopAsked(run)) {
                search.stop();
            }
        });
    }

    @Override
    public void start() {
        if (searches) {
            scheduler.start();
        }
    }

    @Override
    public void stop() {
        searching.values().forEach(PlanSearch::stop);
        scheduler.stop();
        scheduler = scheduler();
    }

    @Override
    public boolean isRunning() {
        return searches
                && scheduler.getSchedulerState().isStarted()
                && !scheduler.getSchedulerState().isShuttingDown();
    }
}
