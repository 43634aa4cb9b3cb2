package org.ostendum.app.complaint;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.complaint.Complaints.Said;
import org.ostendum.core.complaint.Look;
import org.ostendum.core.complaint.WorkUp;

/**
 * A complaint on the way to its cause.
 *
 * @param next the look that tells most for its time; null where none tells enough any more
 * @param onRecord looks that the state of the battery answered, so that nobody went
 */
record WorkUpView(Said said, WorkUp workUp, @Nullable Look next, List<Look> onRecord) {
    private static final int OTHERS_TOLD = 5;

    /** @return those that tell most after it */
    public List<WorkUp.Worth> others() {
        return workUp.worth().stream().skip(1).limit(OTHERS_TOLD).toList();
    }

    /** @return the part of certainty from which a cause counts as found */
    public double found() {
        return WorkUp.FOUND;
    }
}
