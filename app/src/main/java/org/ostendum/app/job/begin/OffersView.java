package org.ostendum.app.job.begin;

import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.GateLine;
import org.ostendum.app.job.Job;
import org.ostendum.core.procedure.Procedure;

/**
 * What can be done to a battery.
 *
 * @param jobs of late, the newest first
 */
record OffersView(Battery battery, List<Offer> offers, List<Job> jobs) {
    /**
     * A job that could be begun.
     *
     * @param procedure in the language of who looks
     * @param shut gates that stand against it
     */
    record Offer(Procedure procedure, List<GateLine> shut) {}
}
