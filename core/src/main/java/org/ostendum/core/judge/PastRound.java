package org.ostendum.core.judge;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.measure.Round;

/**
 * A round with what is to be held of it.
 *
 * @param doubts empty when its gravities can be relied on
 */
public record PastRound(Round round, List<Doubt> doubts) {
    public PastRound {
        doubts = List.copyOf(doubts);
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
                : new PastRound(new Round(round.takenAt(), round.state(), round.temperature(), these), doubts);
    }

    private boolean isOfThisCell(@Nullable Instant since) {
        return since == null || !round.takenAt().isBefore(since);
    }
}
