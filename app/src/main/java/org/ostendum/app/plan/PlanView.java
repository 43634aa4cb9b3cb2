package org.ostendum.app.plan;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.plan.run.PlanRun;
import org.ostendum.app.plan.run.PlanRun.State;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanDifference;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.make.WhatIf;
import org.ostendum.core.plan.room.Task;

/**
 * The plan over time: what a lead decides by.
 *
 * @param by what the rows are
 * @param underWay the search that waits or runs
 * @param failed the newest search, where it failed
 * @param noHours whether no machine has hours yet
 * @param noPeople whether nobody has hours yet
 * @param shown null while there is no plan
 */
record PlanView(
        String by,
        @Nullable PlanRun underWay,
        @Nullable PlanRun failed,
        boolean noHours,
        boolean noPeople,
        @Nullable Shown shown) {
    /**
     * The plan that is proposed, or else the one in force.
     *
     * @param marks what somebody said became of its jobs, by their ids
     * @param since what stands against it by now
     * @param differs from the plan in force, where it is proposed
     * @param chosen the job whose bar was opened
     */
    record Shown(
            PlanRun run,
            Plan plan,
            Sum sum,
            Certain certain,
            Map<String, PlanRuns.Mark> marks,
            SincePlanned since,
            ZoneId zone,
            Timeline timeline,
            @Nullable PlanDifference differs,
            @Nullable Chosen chosen) {
        public boolean isProposed() {
            return run.state() == State.PROPOSED;
        }

        public boolean isChosen(PlanJob job) {
            return chosen != null && chosen.job().id().equals(job.id());
        }
    }

    /** What a plan holds, in numbers. */
    record Sum(int charges, int changes, int care, int unmet) {
        static Sum of(Plan plan) {
            return new Sum(
                    (int) plan.jobs(Task.CHARGE).count(),
                    (int) plan.jobs(Task.CHANGE).count(),
                    (int) plan.jobs().stream()
                            .filter(job -> job.what().isCare() && !job.isOnBench())
                            .count(),
                    (int) plan.shiftsUnmet());
        }
    }

    /**
     * A job with all that is known of it.
     *
     * @param ahead whether it begins with the plan or later, so that it can still be another
     * @param times of a hundred that the battery is ready for it; null for jobs that no machine waits for
     * @param mark what somebody said became of it
     * @param others where else it could be
     */
    record Chosen(
            PlanJob job,
            boolean ahead,
            @Nullable Integer times,
            PlanRuns.@Nullable Mark mark,
            List<WhatIf.Other> others) {}
}
