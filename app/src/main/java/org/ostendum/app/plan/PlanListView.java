package org.ostendum.app.plan;

import java.util.Map;
import org.ostendum.app.plan.run.PlanRun;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.core.plan.Plan;

/**
 * The plan as a list.
 *
 * @param marks what somebody said became of its jobs, by their ids
 * @param since what stands against it by now
 */
record PlanListView(PlanRun run, Plan plan, Map<String, PlanRuns.Mark> marks, SincePlanned since) {}
