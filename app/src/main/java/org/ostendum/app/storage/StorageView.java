package org.ostendum.app.storage;

import java.time.LocalDate;
import java.util.List;
import org.ostendum.app.draw.OutlookDrawing;
import org.ostendum.app.job.Job;
import org.ostendum.app.storage.Stay.Supply;

/**
 * All that is put away.
 *
 * @param others what is not: kept dry, or in service and free to be laid up
 * @param planned jobs that lay up a battery, under way
 * @param sheds places where batteries are put away
 */
record StorageView(
        LocalDate today, List<Drawn> lines, Storing.Others others, List<Job> planned, List<Stays.Place> sheds) {
    /** Days before the latest charge from which it presses. */
    private static final int SOON = 7;

    /** A line with its drawing. */
    record Drawn(Storing.Line line, OutlookDrawing drawing) {}

    public int soon() {
        return SOON;
    }

    public Supply[] supplies() {
        return Supply.values();
    }
}
