package org.ostendum.bench.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.Decisions;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.planner.PlanSearch;
import org.ostendum.sim.week.Lead;

/** Leads a room by the search: a long one now and then, a short one when a machine would stand, otherwise what is left of the plan. */
final class SearchingLead implements Lead {
    private static final Duration LONG_EVERY = Duration.ofHours(8);
    private static final Duration PROMISED = Duration.ofHours(10);
    private static final int SHORT_STEPS = 3_000;
    /** Of the steps of a long search, those of a short one, where that is more. */
    private static final double SHORT_PART = 3.0 / 32;

    private final int longSteps;
    private final int shortSteps;
    private @Nullable Instant searchedAt;
    private long unmet;

    /** @param steps of the search every eight hours */
    SearchingLead(int steps) {
        this.longSteps = steps;
        this.shortSteps = Math.max(SHORT_STEPS, (int) (SHORT_PART * steps));
    }

    @Override
    public Plan plan(PlanProblem now, @Nullable Plan before) {
        boolean isTime = searchedAt == null || !now.from().isBefore(searchedAt.plus(LONG_EVERY));
        if (before == null || isTime) {
            searchedAt = now.from();
            return kept(PlanSearch.stepped(promised(now, before), longSteps).run(progress -> {}));
        }
        Plan left = PlanMaker.make(now, Decisions.of(now, before).changedSoon(now));
        return left.shiftsUnmet() <= unmet
                ? kept(left)
                : kept(PlanSearch.stepped(now, shortSteps).run(progress -> {}));
    }

    /** What is far off nobody counts on yet: it may be turned round. */
    private static PlanProblem promised(PlanProblem now, @Nullable Plan before) {
        if (before == null) {
            return now;
        }
        List<PlanJob> near = before.jobs().stream()
                .filter(job -> job.start().isBefore(now.from().plus(PROMISED)))
                .toList();
        return now.after(new Plan(near, List.of(), List.of(), 0, true), charger -> false);
    }

    private Plan kept(Plan plan) {
        unmet = plan.shiftsUnmet();
        return plan;
    }
}
