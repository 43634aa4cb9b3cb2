package org.ostendum.app.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;

/**
 * What one person does next: his jobs, and the charges that whoever is there begins.
 *
 * @param path where the job is done in the application; null where nothing but the list knows of it
 * @param late whether it should have begun
 */
record RunList(PlanJob job, @Nullable String path, boolean late) {
    /** What should have begun longer ago is not shown any more: the plan has gone on without it. */
    private static final Duration FORGOTTEN = Duration.ofHours(4);

    /** @param from what had begun before runs already */
    static List<RunList> of(Plan plan, Instant from, String login, Instant now, Map<String, PlanRuns.Mark> marks) {
        return plan.jobs().stream()
                .filter(job -> login.equals(job.person()) || isAnybodys(job))
                .filter(job -> !job.start().isBefore(from))
                .filter(job -> !marks.containsKey(job.id()))
                .filter(job -> job.start().isAfter(now.minus(FORGOTTEN)))
                .map(job -> new RunList(job, path(job), job.start().isBefore(now)))
                .toList();
    }

    /** @return whether the word of the person is enough; of anything else its own page tells that it was done, and how */
    public boolean isTold() {
        return job.what() == Task.WATER || job.what() == Task.WASH;
    }

    /** Whoever is there plugs in. */
    private static boolean isAnybodys(PlanJob job) {
        return job.what() == Task.CHARGE || job.what() == Task.EQUALISE;
    }

    private static @Nullable String path(PlanJob job) {
        return switch (job.what()) {
            case CHANGE -> "/machines/" + Objects.requireNonNull(job.machine());
            case CHARGE ->
                "/batteries/" + job.battery() + "/jobs/charge"
                        + (job.charger() == null ? "" : "?charger=" + job.charger());
            case ROUND -> "/batteries/" + job.battery() + "/round";
            case WATER, EQUALISE, WASH ->
                "/batteries/" + job.battery() + "/jobs/" + job.what().word();
            case TEST -> "/batteries/" + job.battery() + "/capacity";
            case USE, COOL -> null;
        };
    }
}
