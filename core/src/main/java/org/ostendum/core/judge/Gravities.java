package org.ostendum.core.judge;

import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.statistics.Robust;

/** The corrected gravities of one round, by cell, with their median worked out once. Immutable. */
public final class Gravities {
    private static final int NOT_READ = Integer.MIN_VALUE;

    private final Map<Integer, CorrectedGravity> byCell;
    private final int medianTenths;
    private final @Nullable CorrectedGravity lowest;
    private final @Nullable CorrectedGravity highest;
    /** The numbers of the cells read, in order: what goes over years of rounds walks arrays. */
    private final int[] cells;
    /** Above the median, at the cell's number: courses over years ask for it more than for anything else. */
    private final int[] above;

    public Gravities(Map<Integer, CorrectedGravity> byCell) {
        TreeMap<Integer, CorrectedGravity> ordered = new TreeMap<>(byCell);
        this.byCell = Collections.unmodifiableMap(ordered);
        this.medianTenths = ordered.isEmpty() ? 0 : (int) Math.round(Robust.median(tenths(ordered.values())));
        this.above = new int[ordered.isEmpty() ? 0 : ordered.lastKey() + 1];
        Arrays.fill(above, NOT_READ);
        ordered.forEach((cell, gravity) -> above[cell] = gravity.tenths() - medianTenths);
        this.cells = ordered.keySet().stream().mapToInt(Integer::intValue).toArray();
        this.lowest = ordered.isEmpty() ? null : Collections.min(ordered.values());
        this.highest = ordered.isEmpty() ? null : Collections.max(ordered.values());
    }

    /** @return the highest number of a cell read; 0 for none */
    int highestNumber() {
        return cells.length == 0 ? 0 : cells[cells.length - 1];
    }

    /** @param index from 0 to below {@link #count()}, in the order of the cells */
    int cellAt(int index) {
        return cells[index];
    }

    /** The gravities in the order of the cells. */
    public Map<Integer, CorrectedGravity> byCell() {
        return byCell;
    }

    public static Gravities of(Round round, TemperatureCorrection correction) {
        Map<Integer, CorrectedGravity> byCell = new TreeMap<>();
        for (CellReading reading : round.readings()) {
            if (reading.gravity() != null) {
                Celsius temperature = round.temperatureOf(reading);
                byCell.put(
                        reading.cell(),
                        temperature == null
                                ? correction.uncorrected(reading.gravity())
                                : correction.correct(reading.gravity(), temperature));
            }
        }
        return new Gravities(byCell);
    }

    /** @return these where none of those cells was read */
    public Gravities without(Set<Integer> cells) {
        if (cells.stream().noneMatch(byCell::containsKey)) {
            return this;
        }
        Map<Integer, CorrectedGravity> rest = new TreeMap<>(byCell);
        rest.keySet().removeAll(cells);
        return new Gravities(rest);
    }

    public boolean isEmpty() {
        return cells.length == 0;
    }

    public int count() {
        return cells.length;
    }

    public CorrectedGravity of(int cell) {
        CorrectedGravity gravity = byCell.get(cell);
        if (gravity == null) {
            throw new IllegalArgumentException("Cell " + cell + " was not read");
        }
        return gravity;
    }

    /**
     * @return the median of all cells read; of an even number the mean of the middle two
     * @throws IllegalStateException when no cell was read
     */
    public CorrectedGravity median() {
        if (isEmpty()) {
            throw new IllegalStateException("No cell was read");
        }
        return new CorrectedGravity(medianTenths);
    }

    /** The same in tenths of a point. */
    int medianTenths() {
        return medianTenths;
    }

    /** @return how far the cell stands above the median; negative below */
    public GravityDifference aboveMedian(int cell) {
        return new GravityDifference(aboveTenths(cell));
    }

    /** The same in tenths of a point. */
    int aboveTenths(int cell) {
        if (!has(cell)) {
            throw new IllegalArgumentException("Cell " + cell + " was not read");
        }
        return above[cell];
    }

    boolean has(int cell) {
        return cell >= 0 && cell < above.length && above[cell] != NOT_READ;
    }

    public CorrectedGravity highest() {
        return read(highest);
    }

    public CorrectedGravity lowest() {
        return read(lowest);
    }

    private static CorrectedGravity read(@Nullable CorrectedGravity gravity) {
        if (gravity == null) {
            throw new IllegalStateException("No cell was read");
        }
        return gravity;
    }

    public int lowestCell() {
        CorrectedGravity lowest = lowest();
        return byCell.entrySet().stream()
                .filter(e -> e.getValue().equals(lowest))
                .findFirst()
                .orElseThrow()
                .getKey();
    }

    public GravityDifference spread() {
        return highest().minus(lowest());
    }

    private static double[] tenths(Collection<CorrectedGravity> gravities) {
        return gravities.stream().mapToDouble(CorrectedGravity::tenths).toArray();
    }
}
