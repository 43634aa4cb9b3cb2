package org.ostendum.app.mine;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.procedure.PlacedThing;
import org.ostendum.app.storage.Storing;
import org.ostendum.core.plan.PlanJob;

/**
 * What one person is at, and what waits for him.
 *
 * @param jobs that he has begun or been handed
 * @param titles of the procedures in his language, by their ids
 * @param planned his next jobs by the plan in force
 * @param rounds codes of the batteries whose round he takes
 * @param water the batteries that he waters
 * @param stored what is put away and has to be charged soon
 * @param things the most urgent of what is to be done
 * @param untold how many more there are
 */
record MineView(
        List<Job> jobs,
        Map<String, String> titles,
        List<PlanJob> planned,
        List<String> rounds,
        List<ToWater> water,
        List<Storing.Line> stored,
        List<PlacedThing> things,
        int untold) {
    /** A battery that somebody waters. */
    record ToWater(Battery battery, LocalDate due, boolean now) {}
}
