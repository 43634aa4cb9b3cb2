package org.ostendum.app.plan;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.plan.house.HouseProblem;
import org.ostendum.app.plan.run.PlanRun;
import org.ostendum.app.plan.run.PlanRun.State;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.app.plan.run.PlanWork;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.BrokenPlan;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/** Has plans made: the night's own, those that a lead asks for, and quick ones when something has gone wrong. */
@Service
public class Planning {
    private static final Logger LOG = LoggerFactory.getLogger(Planning.class);
    static final Duration DAY = Duration.ofHours(24);
    private static final int AGAIN_SECONDS = 1;

    private final HouseProblem house;
    private final PlanRuns runs;
    private final PlanWork work;
    private final BatteryStates batteryStates;
    private final ZoneId zone;
    private final int seconds;
    private final int nightSeconds;

    /**
     * @param seconds for which a plan is searched that somebody asks for
     * @param nightSeconds for which the night's is
     */
    Planning(
            HouseProblem house,
            PlanRuns runs,
            PlanWork work,
            BatteryStates batteryStates,
            ZoneId zone,
            @Value("${ostendum.plan.seconds}") int seconds,
            @Value("${ostendum.plan.night-seconds}") int nightSeconds) {
        this.house = house;
        this.runs = runs;
        this.work = work;
        this.batteryStates = batteryStates;
        this.zone = zone;
        this.seconds = seconds;
        this.nightSeconds = nightSeconds;
    }

    Optional<PlanRun> inForce() {
        return runs.newest(State.IN_FORCE);
    }

    private @Nullable Plan planInForce() {
        return inForce().flatMap(run -> runs.plan(run.id())).orElse(null);
    }

    PlanProblem problem(Duration ahead, int seconds) {
        return house.from(batteryStates.instant(), ahead, seconds, planInForce());
    }

    /** The house as it is, with nothing promised. */
    PlanProblem house(Duration ahead) {
        return house.from(batteryStates.instant(), ahead, 0, null);
    }

    /** @return the id of the plan that is searched now */
    public long ask(Duration ahead, String because, long by) {
        long run = runs.add(problem(ahead, seconds), because, by, null, batteryStates.instant())
                .orElseThrow();
        work.ask(run);
        return run;
    }

    /** The quick plan after something has gone wrong, at once: whoever said it waits for the answer. */
    long again(String because, long by) {
        PlanProblem problem = problem(DAY, AGAIN_SECONDS);
        long run = runs.add(problem, because, by, null, batteryStates.instant()).orElseThrow();
        propose(run, problem);
        return run;
    }

    /** A plan made and taken in one go: for a house that has none. */
    public void takeAtOnce(long by) {
        long run = again("", by);
        runs.take(run, by, batteryStates.instant());
    }

    private void propose(long run, PlanProblem problem) {
        try {
            runs.propose(run, work.findAgain(run, problem), batteryStates.instant());
        } catch (BrokenPlan e) {
            LOG.warn("Plan {} could not be made: {}", run, e.getMessage());
            runs.fail(run, String.valueOf(e.getMessage()), batteryStates.instant());
        }
    }

    @Scheduled(cron = "${ostendum.plan.night-at}", zone = "${ostendum.zone}")
    void night() {
        LocalDate night = LocalDate.ofInstant(batteryStates.instant(), zone);
        runs.add(problem(DAY, nightSeconds), "", null, night, batteryStates.instant())
                .ifPresent(work::ask);
    }
}
