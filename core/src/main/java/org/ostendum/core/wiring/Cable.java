package org.ostendum.core.wiring;

import org.jspecify.annotations.Nullable;

/**
 * A cable of a pack as it is meant to run.
 *
 * @param number as it is marked on the drawing, such as {@code 3}, {@code M+} or {@code T1}
 * @param to null for a tap lead: it leaves the pack
 */
public record Cable(String number, Kind kind, Post from, @Nullable Post to) {
    /** What a cable is for. */
    public enum Kind {
        /** From the pack's end to the plug. */
        MAIN,
        /** From one block to the next. */
        LINK,
        /** To something of lower voltage, such as lights. */
        TAP
    }

    public boolean isTap() {
        return kind == Kind.TAP;
    }
}
