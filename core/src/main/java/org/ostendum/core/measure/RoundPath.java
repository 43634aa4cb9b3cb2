package org.ostendum.core.measure;

import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;

/** The way of a round through the cells, along the current. */
public final class RoundPath {
    private RoundPath() {}

    /**
     * @param cells number of cells
     * @param done cells that need no reading any more: read, too low or skipped
     * @param after the cell just left; 0 at the beginning
     * @return the next cell after it that is not done, going round once; empty when all are done
     */
    public static OptionalInt next(int cells, Set<Integer> done, int after) {
        return IntStream.rangeClosed(1, cells)
                .map(step -> (after + step - 1) % cells + 1)
                .filter(cell -> !done.contains(cell))
                .findFirst();
    }
}
