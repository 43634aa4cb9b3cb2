package org.ostendum.core.judge;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.ostendum.core.statistics.Robust;

/** Cell voltages read on charge at the finish, over all rounds that hold them: each cell against its battery, and the battery against its own beginning. */
public final class ChargeVolts {
    /** Rounds whose voltages are put together. */
    private static final int ROUNDS = 3;
    /** Fewer tell nothing of a meter. */
    private static final int LEAST_CHANGES = 12;

    private final Map<Integer, List<Double>> aboveByCell = new HashMap<>();
    private final List<Double> medians = new ArrayList<>();
    private final double scatter;

    /** @param rounds oldest first */
    ChargeVolts(List<PastRound> rounds) {
        rounds.forEach(round -> add(round.chargeVolts()));
        scatter = learnedScatter();
    }

    private void add(RoundVolts round) {
        for (int i = 0; i < round.count(); i++) {
            aboveByCell.computeIfAbsent(round.cell(i), c -> new ArrayList<>()).add(round.above(i));
        }
        if (!Double.isNaN(round.medianAtReference())) {
            medians.add(round.medianAtReference());
        }
    }

    /** @return mV a cell shows above the median of its battery, against its own beginning where that is known */
    public OptionalDouble above(int cell) {
        List<Double> above = aboveByCell.getOrDefault(cell, List.of());
        if (above.isEmpty()) {
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
        DoubleStream.Builder changes = DoubleStream.builder();
        for (List<Double> above : aboveByCell.values()) {
            for (int i = 1; i < above.size(); i++) {
                changes.add(above.get(i) - above.get(i - 1));
            }
        }
        return changes.build().toArray();
    }

    /** @return mV of the last reading alone above the median of its battery; empty where none was taken */
    public OptionalDouble lastAbove(int cell) {
        List<Double> above = aboveByCell.getOrDefault(cell, List.of());
        return above.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(above.get(above.size() - 1));
    }

    /** @return whether a cell was read often enough for its voltages alone to tell */
    public boolean isTold(int cell) {
        return aboveByCell.getOrDefault(cell, List.of()).size() >= 2 * ROUNDS;
    }

    /** @return mV a cell, at 25 °C, by which the battery's median now lies above its beginning; empty with too few rounds */
    public OptionalDouble risen() {
        return medians.size() < 2 * ROUNDS ? OptionalDouble.empty() : OptionalDouble.of(last(medians) - first(medians));
    }

    /** @return mV a cell of the battery now, at 25 °C; empty where none were read */
    public OptionalDouble now() {
        return medians.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(last(medians));
    }

    private static double first(List<Double> values) {
        return median(values.subList(0, ROUNDS));
    }

    private static double last(List<Double> values) {
        return median(values.subList(Math.max(0, values.size() - ROUNDS), values.size()));
    }

    private static double median(List<Double> values) {
        return Robust.median(values.stream().mapToDouble(Double::doubleValue).toArray());
    }
}
