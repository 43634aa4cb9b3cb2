package org.ostendum.core.measure;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Celsius;

/**
 * Readings of the cells of one battery taken together.
 *
 * @param takenAt one time for all cells
 * @param state the battery's state at that time
 * @param temperature of the electrolyte, for every cell that has none of its own; null when not taken
 * @param readings at most one for each cell, in the order of the path
 */
public record Round(Instant takenAt, RoundState state, @Nullable Celsius temperature, List<CellReading> readings) {

    public Round {
        readings = List.copyOf(readings);
    }

    public Optional<CellReading> reading(int cell) {
        return readings.stream().filter(r -> r.cell() == cell).findFirst();
    }

    /** @return the cell's own temperature, else the round's, else null */
    public @Nullable Celsius temperatureOf(CellReading reading) {
        return reading.temperature() != null ? reading.temperature() : temperature;
    }

    /** @return the highest temperature in it, of the round or of a cell; null where none was taken */
    public @Nullable Celsius warmest() {
        return furthest(1);
    }

    /** @return the lowest temperature in it, of the round or of a cell; null where none was taken */
    public @Nullable Celsius coldest() {
        return furthest(-1);
    }

    private @Nullable Celsius furthest(int way) {
        Celsius furthest = temperature;
        for (CellReading reading : readings) {
            Celsius read = reading.temperature();
            if (read != null && (furthest == null || way * read.compareTo(furthest) > 0)) {
                furthest = read;
            }
        }
        return furthest;
    }

    public long cellsRead() {
        return readings.stream().filter(CellReading::isRead).count();
    }
}
