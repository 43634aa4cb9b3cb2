package org.ostendum.core.plan.cost;

import java.time.Duration;

/** How long a battery may wait for its charge. */
public final class Uncharged {
    /** What comes back so shortly before the end of the plan is the next plan's. */
    public static final Duration LEFT_TO_NEXT = Duration.ofHours(2);

    /** A battery run flat and left standing sulfates. Practice {@code charge.never-discharge-below}; rule of thumb. */
    public static final Duration WAITS_AT_MOST = Duration.ofHours(12);

    private Uncharged() {}
}
