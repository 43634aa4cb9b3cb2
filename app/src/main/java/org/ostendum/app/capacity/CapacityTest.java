package org.ostendum.app.capacity;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.capacity.TestSheet;

/**
 * A discharge test of one battery.
 *
 * @param interruptedAt since when the load is taken to be off; null while it is on, or the test over
 * @param end null while it is open
 */
public record CapacityTest(
        long id,
        long batteryId,
        String battery,
        TestSheet sheet,
        Begun begun,
        State state,
        @Nullable Instant interruptedAt,
        @Nullable End end) {

    /**
     * How it was begun.
     *
     * @param by name of the person
     * @param bank which of the load bank's tests it is, by its own count, or that it has not told yet; null for one by hand
     * @param doubts what did not hold, and why it was begun all the same; empty for nothing
     */
    public record Begun(Instant at, String by, @Nullable OnBank bank, String doubts) {}

    /** @param start by the load bank's own count; null until it has told */
    public record OnBank(@Nullable Integer start) {}

    /**
     * How it ended.
     *
     * @param part of the rating that it came to; null where it was broken off, and where its line was taken back
     * @param takenBack whether its line in the ledger was taken back
     */
    public record End(Instant at, EndKind kind, String reason, @Nullable Double part, boolean takenBack) {}

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

    public boolean isByBank() {
        return begun.bank() != null;
    }

    /** @return of the rating; null while it is open, where it was broken off, and where its line was taken back */
    public @Nullable Double part() {
        return end == null ? null : end.part();
    }

    /** @return whether it came to as much as a serviceable battery gives */
    public boolean isServiceable() {
        Double part = part();
        return part != null && part >= TestSheet.PASSES_FROM;
    }

    /** @return whether the load bank has told which of its tests it is */
    boolean isCounted() {
        OnBank bank = begun.bank();
        return bank != null && bank.start() != null;
    }

    /** @return whether it is the one that the load bank counts so */
    boolean isOfBank(int starts) {
        OnBank bank = begun.bank();
        return bank != null && bank.start() != null && bank.start() == starts;
    }
}
