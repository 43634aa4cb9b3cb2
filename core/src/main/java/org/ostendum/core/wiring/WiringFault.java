package org.ostendum.core.wiring;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;

/**
 * Something that stands or runs otherwise than the drawing has it.
 *
 * @param block the one it is about; null for none
 * @param cable number of the one it is about; null for none
 */
public record WiringFault(Kind kind, @Nullable Integer block, @Nullable String cable, Message sentence) {
    /** What can be wrong. */
    public enum Kind {
        BLOCK_OUT,
        BLOCK_TURNED,
        CABLE_MISSING,
        CABLE_ASTRAY,
        TAP_ASTRAY,
        /** A link joins plus to plus, or minus to minus. */
        LIKE_POLES,
        /** A ring is closed: current flows without a switch. */
        RING
    }
}
