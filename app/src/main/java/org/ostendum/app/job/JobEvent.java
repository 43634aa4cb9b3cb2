package org.ostendum.app.job;

import org.ostendum.core.procedure.RunEvent;

/**
 * One event of a job.
 *
 * @param seq 1.. within the job
 */
public record JobEvent(long id, int seq, RunEvent event) {}
