package org.ostendum.core.state.fact;

import java.util.Locale;

/** Where a battery stands in its life. */
public enum Stage {
    /** Bought and not here yet. */
    ORDERED,
    /** Dry-charged: without electrolyte. */
    DRY,
    /** Filled, its first charge not over. */
    COMMISSIONING,
    IN_SERVICE,
    /** Put away for a time. */
    STORED,
    /** Set aside: not to be issued until somebody releases it. */
    HELD,
    /** Gone for good. */
    RETIRED;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** @return whether there is electrolyte in it and it is here to be worked on */
    public boolean isUsable() {
        return this == IN_SERVICE || this == STORED || this == HELD;
    }
}
