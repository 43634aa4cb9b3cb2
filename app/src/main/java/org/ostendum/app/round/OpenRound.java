package org.ostendum.app.round;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.RoundSheet;
import org.ostendum.core.measure.RoundState;

/**
 * A round being taken.
 *
 * @param pilotCell the one cell of a pilot round, null for a whole one
 * @param values in the order in which they were kept
 */
public record OpenRound(
        long id,
        long batteryId,
        Instant openedAt,
        long openedById,
        String openedBy,
        RoundState state,
        Coverage coverage,
        @Nullable Integer pilotCell,
        List<KeptValue> values) {

    public OpenRound {
        values = List.copyOf(values);
    }

    public RoundSheet sheet(int cells) {
        return new RoundSheet(cells, values.stream().map(KeptValue::entry).toList());
    }

    /** @return rises with every value kept */
    public long version() {
        return values.isEmpty() ? 0 : values.get(values.size() - 1).id();
    }
}
