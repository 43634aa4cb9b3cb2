package org.ostendum.core.procedure;

import java.time.Instant;

/**
 * One thing that happened in a run. Never changed; what was wrong is taken back by another.
 *
 * @param person who did it, by name
 * @param about the step, stop condition or gate it is about; empty for the run as a whole
 * @param value what was measured, answered, written or given as a reason; empty for nothing
 */
public record RunEvent(Instant at, String person, Kind kind, String about, String value) {
    /** What can happen in a run. */
    public enum Kind {
        DONE,
        SKIPPED,
        TAKEN_BACK,
        TIMER_STARTED,
        ROW,
        PAUSED,
        RESUMED,
        HANDED_OVER,
        STOPPED,
        GATE_OVERRIDDEN,
        /** Somebody has looked at what no record tells, and found it right. */
        GATE_LOOKED,
        FINISHED
    }
}
