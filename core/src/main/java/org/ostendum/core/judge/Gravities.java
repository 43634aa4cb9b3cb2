package org.ostendum.core.judge;

import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
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
    /** Above the median, at the cell's number: courses over years ask for it more than for anything else. */
    private final int[] above;

    public Gravities(Map<Integer, CorrectedGravity> byCell) {
        TreeMap<Integer, CorrectedGravity> ordered = new TreeMap<>(byCell);
        this.byCell = Collections.unmodifiableMap(ordered);
        this.medianTenths = ordered.isEmpty() ? 0 : (int) Math.round(Robust.median(tenths(ordered.values())));
        this.above = new int[ordered.isEmpty() ? 0 : ordered.lastKey() + 1];
        Arrays.fill(above, NOT_READ);
        ordered.forEach((cell, gravity) -> above[cell] = gravity.tenths() - medianTenths);
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

    public Gravities without(Set<Integer> cells) {
        Map<Integer, CorrectedGravity> rest = new TreeMap<>(byCell);
        rest.keySet().removeAll(cells);
        return new Gravities(rest);
    }

    public boolean isEmpty() {
        return byCell.isEmpty();
    }

    public int count() {
        return byCell.size();
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
        return byCell.values().stream().max(CorrectedGravity::compareTo).orElseThrow();
    }

    public CorrectedGravity lowest() {
        return byCell.values().stream().min(CorrectedGravity::compareTo).orElseThrow();
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
