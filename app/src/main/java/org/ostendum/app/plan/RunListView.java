package org.ostendum.app.plan;

import java.util.List;
import org.ostendum.app.plan.run.PlanRun;

/** What one person does next, by the plan in force. */
record RunListView(PlanRun run, List<RunList> jobs) {
    /** @return what may be in the way of a job */
    public NotPossible[] reasons() {
        return NotPossible.values();
    }
}
