package org.ostendum.app.plan;

import java.util.List;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;

/**
 * What has happened to batteries since a plan was made and stands against it.
 *
 * @param lines by the code of the battery; empty where the plan can still be done
 */
record SincePlanned(List<Line> lines) {
    /**
     * A battery that may not do what was planned.
     *
     * @param why in the words of its own page
     * @param jobs still to come or under way that it may not have, the next first
     */
    record Line(String battery, Message why, List<PlanJob> jobs) {}

    public boolean isNothing() {
        return lines.isEmpty();
    }

    /** @return whether a battery that was to go to work cannot */
    public boolean isAgainstWork() {
        return lines.stream().flatMap(line -> line.jobs().stream()).anyMatch(job -> job.what() == Task.USE);
    }

    /** @return whether the job cannot be done as it was planned */
    public boolean standsAgainst(PlanJob job) {
        return lines.stream().anyMatch(line -> line.jobs().contains(job));
    }
}
