package org.ostendum.app.plan.run;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A plan from its search to its end.
 *
 * @param madeBy name of who asked for it; null for the night's own
 * @param because why it was asked for, in the words of who did
 * @param bestUnmet shifts without a battery in the best plan so far; null before the first
 * @param fault why no plan came of it; null where none is known
 * @param takenBy name of the lead who took it; null where nobody has
 */
public record PlanRun(
        long id,
        Instant madeAt,
        @Nullable String madeBy,
        String because,
        State state,
        int seconds,
        Instant from,
        Instant until,
        @Nullable Integer bestUnmet,
        @Nullable Double bestCost,
        boolean stopAsked,
        @Nullable String fault,
        @Nullable String takenBy) {
    public enum State {
        WAITING,
        SEARCHING,
        PROPOSED,
        IN_FORCE,
        /** Another was taken after it. */
        PAST,
        DROPPED,
        FAILED;

        public boolean isUnderWay() {
            return this == WAITING || this == SEARCHING;
        }
    }
}
