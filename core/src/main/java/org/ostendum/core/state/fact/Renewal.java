package org.ostendum.core.state.fact;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The newest time at which cells were renewed. */
public record Renewal(Instant at, List<Integer> cells) {
    public Renewal {
        cells = List.copyOf(cells);
    }

    public static Optional<Renewal> of(CellFacts cells) {
        return cells.since().values().stream()
                .max(Comparator.naturalOrder())
                .map(newest -> new Renewal(
                        newest,
                        cells.since().entrySet().stream()
                                .filter(cell -> cell.getValue().equals(newest))
                                .map(Map.Entry::getKey)
                                .sorted()
                                .toList()));
    }
}
