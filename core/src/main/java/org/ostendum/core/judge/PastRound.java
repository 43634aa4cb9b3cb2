package org.ostendum.core.judge;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.measure.Round;

/**
 * A round with what is to be held of it.
 *
 * @param doubts empty when its gravities can be relied on
 * @param setAside cells whose gravity leapt so far that it was not believed then; a later round may bear it out
 */
public record PastRound(Round round, List<Doubt> doubts, Set<Integer> setAside) {
    public PastRound {
        doubts = List.copyOf(doubts);
        setAside = Set.copyOf(setAside);
    }

    /** A round in which every gravity is believed. */
    public PastRound(Round round, List<Doubt> doubts) {
        this(round, doubts, Set.of());
    }

    /** The same round with some of its gravities not believed. */
    public PastRound settingAside(Set<Integer> cells) {
        return new PastRound(round, doubts, cells);
    }

    public boolean isSound() {
        return doubts.isEmpty();
    }

    /**
     * @param since when the cell now in a position was put in, by its number
     * @return the round without readings of cells that are no longer there
     */
    public PastRound ofCellsSince(Map<Integer, Instant> since) {
        List<CellReading> these = round.readings().stream()
                .filter(reading -> isOfThisCell(since.get(reading.cell())))
                .toList();
        return these.size() == round.readings().size()
                ? this
                : new PastRound(
                        new Round(round.takenAt(), round.state(), round.temperature(), these), doubts, setAside);
    }

    private boolean isOfThisCell(@Nullable Instant since) {
        return since == null || !round.takenAt().isBefore(since);
    }
}
