package org.ostendum.app.plan;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.springframework.stereotype.Service;

/** What the plan in force has in mind, for the other screens. */
@Service
public class PlannedJobs {
    private final Planning planning;
    private final PlanRuns runs;
    private volatile @Nullable Read read;

    PlannedJobs(Planning planning, PlanRuns runs) {
        this.planning = planning;
        this.runs = runs;
    }

    /** A plan in force does not change but for its pins, of which nobody else tells. */
    private record Read(long run, Instant from, Plan plan) {}

    private @Nullable Read plan() {
        PlanRun run = planning.inForce().orElse(null);
        Read known = read;
        if (run == null || (known != null && known.run() == run.id())) {
            return run == null ? null : known;
        }
        known = new Read(run.id(), run.from(), runs.plan(run.id()).orElseThrow());
        read = known;
        return known;
    }

    /** @return at most so many of a person's next jobs, charges that are anybody's among them */
    public List<PlanJob> ofPerson(String login, Instant now, int most) {
        Read known = plan();
        return known == null
                ? List.of()
                : RunList.of(known.plan(), known.from(), login, now, runs.marks(known.run())).stream()
                        .limit(most)
                        .map(RunList::job)
                        .toList();
    }

    /** @return what is still to come for a battery, at most so many */
    public List<PlanJob> ofBattery(String code, Instant now, int most) {
        Read known = plan();
        return known == null
                ? List.of()
                : known.plan().jobs().stream()
                        .filter(job -> job.battery().equals(code) && job.start().isAfter(now))
                        .limit(most)
                        .toList();
    }
}
