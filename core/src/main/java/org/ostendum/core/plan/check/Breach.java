package org.ostendum.core.plan.check;

/**
 * A hard rule that a plan breaks.
 *
 * @param job id of the job that breaks it; of the shift where there is no job
 * @param told with the figures, for a program's log
 */
public record Breach(HardRule rule, String job, String told) {}
