package org.ostendum.core.judge;

import java.util.List;
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
}
