package org.ostendum.app.plan;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.plan.PlanView.Chosen;
import org.ostendum.app.plan.PlanView.Shown;
import org.ostendum.app.plan.hours.Hours;
import org.ostendum.app.plan.run.PlanRun;
import org.ostendum.app.plan.run.PlanRun.State;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanDifference;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.WhatIf;
import org.springframework.stereotype.Component;

/** Puts the plan together as its pages show it. */
@Component
class PlanPages {
    private final PlanRuns runs;
    private final Planning planning;
    private final Hours hours;
    private final HeldReasons held;
    private final PlanAgainstStates states;
    private final ZoneId zone;

    PlanPages(PlanRuns runs, Planning planning, Hours hours, HeldReasons held, PlanAgainstStates states, ZoneId zone) {
        this.runs = runs;
        this.planning = planning;
        this.hours = hours;
        this.held = held;
        this.states = states;
        this.zone = zone;
    }

    /** @return the search that waits or runs */
    Optional<PlanRun> underWay() {
        return runs.newest(State.WAITING, State.SEARCHING);
    }

    private Optional<PlanRun> current() {
        return runs.newest(State.PROPOSED).or(planning::inForce);
    }

    /** @param job id of the one whose bar was opened; of none, nothing is chosen */
    PlanView view(Timeline.By by, String job, Instant now) {
        return new PlanView(
                by.word(),
                underWay().orElse(null),
                failed(),
                hours.ofMachines().isEmpty(),
                hours.ofPeople().isEmpty(),
                current().map(run -> shown(run, by, job, now)).orElse(null));
    }

    private @Nullable PlanRun failed() {
        return runs.newest(State.values())
                .filter(run -> run.state() == State.FAILED)
                .orElse(null);
    }

    private Shown shown(PlanRun run, Timeline.By by, String job, Instant now) {
        Plan plan = plan(run);
        PlanProblem problem = runs.problem(run.id());
        Map<String, PlanRuns.Mark> marks = runs.marks(run.id());
        Certain certain = Certain.of(problem, plan);
        return new Shown(
                run,
                plan,
                PlanView.Sum.of(plan),
                certain,
                marks,
                states.since(plan, marks.keySet(), now),
                zone,
                Timeline.of(problem, plan, by, now, zone),
                run.state() == State.PROPOSED ? differs(plan) : null,
                plan.jobs().stream()
                        .filter(one -> one.id().equals(job))
                        .findFirst()
                        .map(one -> chosen(one, problem, plan, certain, marks))
                        .orElse(null));
    }

    private Plan plan(PlanRun run) {
        return held.told(runs.plan(run.id()).orElseThrow());
    }

    private @Nullable PlanDifference differs(Plan plan) {
        return planning.inForce()
                .flatMap(run -> runs.plan(run.id()))
                .map(before -> PlanDifference.between(before, plan))
                .orElse(null);
    }

    private static Chosen chosen(
            PlanJob job, PlanProblem problem, Plan plan, Certain certain, Map<String, PlanRuns.Mark> marks) {
        boolean ahead = !job.start().isBefore(problem.from());
        return new Chosen(
                job,
                ahead,
                certain.times(plan, job),
                marks.get(job.id()),
                ahead ? new WhatIf(problem, plan).others(job) : List.of());
    }

    /** @return all jobs one under the other; nothing while there is no plan */
    Optional<PlanListView> list(Instant now) {
        return current().map(run -> {
            Plan plan = plan(run);
            Map<String, PlanRuns.Mark> marks = runs.marks(run.id());
            return new PlanListView(run, plan, marks, states.since(plan, marks.keySet(), now));
        });
    }
}
