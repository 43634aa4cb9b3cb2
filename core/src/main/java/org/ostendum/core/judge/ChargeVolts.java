package org.ostendum.core.judge;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.ostendum.core.statistics.Robust;

/** Cell voltages read on charge at the finish, over all rounds that hold them: each cell against its battery, and the battery against its own beginning. */
public final class ChargeVolts {
    /** Rounds whose voltages are put together. */
    private static final int ROUNDS = 3;
    /** Fewer tell nothing of a meter. */
    private static final int LEAST_CHANGES = 12;

    /** So many times what is taken for apart needs no second reading. */
    private static final double FAR = 4;

    private static final double[] NONE = {};

    /** mV above the median, at the cell's number, oldest first. */
    private final double[][] aboveByCell;
    /** mV a cell, at 25 °C, oldest first. */
    private final double[] medians;

    private final double scatter;

    private ChargeVolts(List<RoundVolts> rounds) {
        this.aboveByCell = byCell(rounds);
        this.medians = rounds.stream()
                .mapToDouble(RoundVolts::medianAtReference)
                .filter(median -> !Double.isNaN(median))
                .toArray();
        this.scatter = learnedScatter();
    }

    /** @param rounds oldest first */
    static ChargeVolts of(Stream<PastRound> rounds) {
        return new ChargeVolts(rounds.map(PastRound::chargeVolts)
                .filter(round -> round.count() > 0)
                .toList());
    }

    private static double[][] byCell(List<RoundVolts> rounds) {
        int highest = rounds.stream().mapToInt(RoundVolts::highestNumber).max().orElse(0);
        double[][] byCell = new double[highest + 1][rounds.size()];
        int[] read = new int[highest + 1];
        for (RoundVolts round : rounds) {
            for (int i = 0; i < round.count(); i++) {
                int cell = round.cell(i);
                byCell[cell][read[cell]++] = round.above(i);
            }
        }
        Arrays.setAll(byCell, cell -> Arrays.copyOf(byCell[cell], read[cell]));
        return byCell;
    }

    private double[] of(int cell) {
        return cell < aboveByCell.length ? aboveByCell[cell] : NONE;
    }

    /** @return mV a cell shows above the median of its battery, against its own beginning where that is known */
    public OptionalDouble above(int cell) {
        double[] above = of(cell);
        if (above.length == 0) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(last(above) - (isTold(cell) ? first(above) : 0));
    }

    /**
     * @return mV by which single readings of a cell scatter about its usual place: the meter's own noise, learned from every cell
     *     read more than once; 0 where none was
     */
    public double scatter() {
        return scatter;
    }

    private double learnedScatter() {
        double[] changes = changes();
        // A difference of two readings scatters by the square root of two more than one of them.
        return changes.length < LEAST_CHANGES ? 0 : Robust.deviation(changes) / Math.sqrt(2);
    }

    private double[] changes() {
        int readAgain = Arrays.stream(aboveByCell)
                .mapToInt(above -> Math.max(0, above.length - 1))
                .sum();
        double[] changes = new double[readAgain];
        int next = 0;
        for (double[] above : aboveByCell) {
            for (int i = 1; i < above.length; i++) {
                changes[next++] = above[i] - above[i - 1];
            }
        }
        return changes;
    }

    /** @return mV of the last reading alone above the median of its battery; empty where none was taken */
    public OptionalDouble lastAbove(int cell) {
        double[] above = of(cell);
        return above.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(above[above.length - 1]);
    }

    /**
     * @param apart mV above or below the others that are told from chance by more than one reading
     * @return whether the last reading of a cell lies so far off that it is to be taken seriously at once
     */
    public boolean isFarOff(int cell, double apart) {
        return Math.abs(lastAbove(cell).orElse(0)) >= FAR * Math.max(apart, scatter);
    }

    /** @return whether a cell was read often enough for its voltages alone to tell */
    public boolean isTold(int cell) {
        return of(cell).length >= 2 * ROUNDS;
    }

    /** @return mV a cell, at 25 °C, by which the battery's median now lies above its beginning; empty with too few rounds */
    public OptionalDouble risen() {
        return medians.length < 2 * ROUNDS ? OptionalDouble.empty() : OptionalDouble.of(last(medians) - first(medians));
    }

    /** @return mV a cell of the battery now, at 25 °C; empty where none were read */
    public OptionalDouble now() {
        return medians.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(last(medians));
    }

    private static double first(double[] values) {
        return Robust.median(Arrays.copyOf(values, ROUNDS));
    }

    private static double last(double[] values) {
        return Robust.median(Arrays.copyOfRange(values, Math.max(0, values.length - ROUNDS), values.length));
    }
}
