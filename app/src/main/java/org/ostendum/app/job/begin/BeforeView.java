package org.ostendum.app.job.begin;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.job.GateLine;
import org.ostendum.app.job.begin.ChargerChoice.Choice;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.wiring.School;

/**
 * What somebody sees before a job.
 *
 * @param procedure in his language
 * @param mayOverride whether he may go through what is shut, with a reason
 * @param machines to choose from; none where the job does not ask for one
 * @param schools of the order in which cables come off, to choose from; none where the job has no such order
 * @param guides of the site's own that apply to everything; empty for none
 * @param late the shift that the plan has the battery down for and that it would be late for; null for none
 */
record BeforeView(
        JobToBegin job,
        Procedure procedure,
        boolean mayOverride,
        List<Machine> machines,
        List<School> schools,
        String guides,
        PlannedWork.@Nullable Late late) {
    public @Nullable Battery battery() {
        return job.battery();
    }

    public BeginForm form() {
        return job.form();
    }

    public @Nullable Choice choice() {
        return job.choice();
    }

    public List<GateLine> gates() {
        return job.gates();
    }

    public List<GateLine> shut() {
        return job.shut();
    }

    public List<GateLine> looks() {
        return job.looks();
    }

    public boolean isUnknown() {
        return job.gates().stream().anyMatch(GateLine::isUnknown);
    }
}
