package org.ostendum.app.capacity;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.capacity.TestSheet;

/**
 * A discharge test of one battery.
 *
 * @param bankStart which of the load bank's tests it is, by its own count; null for one by hand
 * @param doubts what did not hold when it was begun, and why it was begun all the same; empty for nothing
 * @param interruptedAt since when the load is taken to be off; null while it is on, or the test over
 * @param endKind null while it is open
 * @param part of the rating that it came to; null while it is open, where it was broken off, and where its line was taken back
 * @param takenBack whether its line in the ledger was taken back
 */
public record CapacityTest(
        long id,
        long batteryId,
        String battery,
        TestSheet sheet,
        boolean byBank,
        @Nullable Integer bankStart,
        Instant begunAt,
        String begunBy,
        String doubts,
        State state,
        @Nullable Instant interruptedAt,
        @Nullable Instant endedAt,
        @Nullable EndKind endKind,
        String endReason,
        @Nullable Double part,
        boolean takenBack) {

    public enum State {
        RUNNING,
        /** The load bank is silent or has let go: the load is taken to be off. */
        INTERRUPTED,
        ENDED
    }

    /** How a test ended. */
    public enum EndKind {
        CUT_OFF,
        CELL,
        /** Before the cut-off: it says no more than what it gave at least. */
        BROKEN_OFF
    }

    public boolean isOpen() {
        return state != State.ENDED;
    }

    public boolean isInterrupted() {
        return state == State.INTERRUPTED;
    }

    /** @return whether it came to as much as a serviceable battery gives */
    public boolean isServiceable() {
        return part != null && part >= TestSheet.PASSES_FROM;
    }

    /** @return whether it is the one that the load bank counts so */
    boolean isOfBank(int starts) {
        return bankStart != null && bankStart == starts;
    }
}
