package org.ostendum.core.judge.question;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.CellCourse;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.judge.statistics.Robust;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.rulebook.RuleKey;

/**
 * Why a cell is low. On charge at the finish a short stays below its fellows, a sulfated cell rises above them; lost acid
 * came in one step and stays. Without voltages on charge a short and sulfate cannot be told apart.
 *
 * <p>Source: IEEE 450, interpretation of cell voltages on float and charge; limits are rules of thumb in the Rulebook.
 */
enum CellCause {
    SHORT(FindingCode.CELL_SHORT, NextStep.REPAIR_CELL, 0.9),
    SULFATED(FindingCode.CELL_SULFATED, NextStep.LONG_CHARGE, 0.85),
    DILUTED(FindingCode.CELL_DILUTED, NextStep.ADJUST_ACID, 0.8),
    UNKNOWN(FindingCode.CELL_WEAK, NextStep.READ_CHARGE_VOLTS, 0.7);

    /** Rounds whose voltages are put together. */
    private static final int ROUNDS = 3;
    /** Fewer voltages than this make no median to compare with. */
    private static final int LEAST_CELLS = 3;
    /** A step and what came after it need so many readings to be told from a slope. */
    private static final int READINGS_AFTER_STEP = 3;
    /** A lost part of the acid stays lost: later readings move by no more of the fall than this. */
    private static final double STEADY_PART = 0.3;

    private final FindingCode code;
    private final NextStep next;
    private final double confidence;

    CellCause(FindingCode code, NextStep next, double confidence) {
        this.code = code;
        this.next = next;
        this.confidence = confidence;
    }

    FindingCode code() {
        return code;
    }

    NextStep next() {
        return next;
    }

    double confidence() {
        return confidence;
    }

    static CellCause of(Case battery, int cell) {
        OptionalDouble volts = millivoltsAbove(battery, cell);
        double limit = battery.rules().value(RuleKey.CHARGE_VOLTS_APART).doubleValue();
        if (volts.isPresent() && volts.getAsDouble() <= -limit) {
            return SHORT;
        } else if (volts.isPresent() && volts.getAsDouble() >= limit) {
            return SULFATED;
        }
        return cameInOneStep(battery.course(cell)) ? DILUTED : UNKNOWN;
    }

    /** @return mV the cell shows above the median of its battery on charge, against its own beginning where that is known */
    static OptionalDouble millivoltsAbove(Case battery, int cell) {
        List<Double> above = new ArrayList<>();
        for (PastRound past : battery.past()) {
            above(past.round(), cell).ifPresent(above::add);
        }
        above(battery.latest().round(), cell).ifPresent(above::add);
        if (above.isEmpty()) {
            return OptionalDouble.empty();
        }
        double now = median(above.subList(Math.max(0, above.size() - ROUNDS), above.size()));
        double begun = above.size() > 3 * ROUNDS ? median(above.subList(0, ROUNDS)) : 0;
        return OptionalDouble.of(now - begun);
    }

    private static OptionalDouble above(Round round, int cell) {
        double[] all = round.readings().stream()
                .filter(r -> r.volts() != null && r.onCharge())
                .mapToDouble(CellCause::millivolts)
                .toArray();
        return round.reading(cell)
                .filter(r -> r.volts() != null && r.onCharge() && all.length >= LEAST_CELLS)
                .map(r -> OptionalDouble.of(millivolts(r) - Robust.median(all)))
                .orElse(OptionalDouble.empty());
    }

    private static double millivolts(CellReading reading) {
        return reading.volts() == null ? 0 : reading.volts().volts() * 1000;
    }

    private static double median(List<Double> values) {
        return Robust.median(values.stream().mapToDouble(Double::doubleValue).toArray());
    }

    /** @return whether the fall lies between two readings and nothing has moved since */
    private static boolean cameInOneStep(CellCourse course) {
        if (course.readings() < 2 * READINGS_AFTER_STEP) {
            return false;
        }
        int at = course.fallIndex();
        int after = course.readings() - at;
        if (after < READINGS_AFTER_STEP || at < 2) {
            return false;
        }
        double fallen = course.fallen();
        double before = (course.above().get(at - 1) + course.above().get(at - 2)) / 2;
        double first = (course.above().get(at) + course.above().get(at + 1)) / 2;
        double last = course.place().orElse(first);
        boolean sudden = before > course.begunAt() - STEADY_PART * fallen;
        boolean steady = Math.abs(first - last) < STEADY_PART * fallen;
        return sudden && steady;
    }
}
