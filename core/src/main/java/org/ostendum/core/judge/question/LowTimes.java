package org.ostendum.core.judge.question;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.CorrectedGravity;

/** The rounds at which one cell was low on water and most others were not, beside those at which it was not low. */
final class LowTimes {
    /** Where more than one cell in so many is low, it was not watered: that says nothing about one cell. */
    private static final int ONE_IN = 4;

    private final int cell;
    private final int rounds;
    private final List<Round> low = new ArrayList<>();
    private final List<Round> others = new ArrayList<>();

    /** @param looked rounds at which levels were looked at */
    LowTimes(List<Round> looked, int cell) {
        this.cell = cell;
        this.rounds = looked.size();
        for (Round round : looked) {
            List<Integer> dry = dry(round);
            if (!dry.contains(cell)) {
                others.add(round);
            } else if (ONE_IN * dry.size() <= round.readings().size()) {
                low.add(round);
            }
        }
    }

    /** @return numbers of the cells that were low on water */
    static List<Integer> dry(Round round) {
        return round.readings().stream()
                .filter(r -> r.level() == Level.LOW || r.level() == Level.EXPOSED || r.tooLow())
                .map(CellReading::cell)
                .toList();
    }

    int cell() {
        return cell;
    }

    int times() {
        return low.size();
    }

    /** @return all at which levels were looked at */
    int rounds() {
        return rounds;
    }

    /**
     * @return tenths by which the cell stood higher over the battery's median each time it was low than it does in the mean when it is
     *     not; empty where its gravity was not read at both
     */
    OptionalDouble stronger(TemperatureCorrection correction) {
        OptionalDouble whenLow = above(low, correction).min();
        OptionalDouble otherwise = above(others, correction).average();
        return whenLow.isEmpty() || otherwise.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(whenLow.getAsDouble() - otherwise.getAsDouble());
    }

    private DoubleStream above(List<Round> some, TemperatureCorrection correction) {
        return some.stream()
                .map(round -> Gravities.of(round, correction))
                .filter(gravities -> gravities.byCell().containsKey(cell))
                .mapToDouble(this::above);
    }

    private double above(Gravities gravities) {
        CorrectedGravity own = gravities.byCell().get(cell);
        return own == null ? 0 : own.tenths() - (double) gravities.median().tenths();
    }
}
