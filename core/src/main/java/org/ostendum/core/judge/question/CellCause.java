package org.ostendum.core.judge.question;

import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.CellCourse;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.question.low.LowBattery;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.statistics.Robust;
import org.ostendum.core.statistics.StepOrBend;

/**
 * Why a cell is low. On charge at the finish a short stays below its fellows, a sulfated cell rises above them; lost acid
 * came in one step and stays. Without voltages on charge a short and sulfate cannot be told apart.
 *
 * <p>Source: IEEE 450, interpretation of cell voltages on float and charge; limits are rules of thumb in the Rulebook.
 */
enum CellCause {
    SHORT(FindingCode.CELL_SHORT, NextStep.REPAIR_CELL, Confidence.SHORT),
    SULFATED(FindingCode.CELL_SULFATED, NextStep.LONG_CHARGE, Confidence.SULFATED_CELL),
    DILUTED(FindingCode.CELL_DILUTED, NextStep.ADJUST_ACID, Confidence.DILUTED),
    UNKNOWN(FindingCode.CELL_WEAK, NextStep.READ_CHARGE_VOLTS, Confidence.FALLEN);

    /** Part of the limit by which the other cells of its block have to be away, in their middle. */
    private static final double BLOCK_TOGETHER = 0.4;
    /** A step and what came after it need so many readings to be told from a slope. */
    private static final int READINGS_AFTER_STEP = 5;

    /** The same where rounds lie months apart: a fifth would be another quarter of waiting. */
    private static final int READINGS_AFTER_STEP_SELDOM = 4;

    /** A lost part of the acid stays lost: later readings move by no more of the fall than this. */
    private static final double STEADY_PART = 0.2;

    private static final double STEADY_TENTHS = 40;
    /** A median of three against a median of three scatters about as one reading does. */
    private static final double MIDDLE_ERROR = 0.95;
    /** So many deviations of the meter are no chance, over two dozen cells and years of rounds. */
    private static final double NOISE = 4.5;

    /** So much of the fall lies between the two readings before it and the two after. */
    private static final double SUDDEN_PART = 0.75;

    /** So many times further the readings lie from the best slope than from the best step. */
    private static final double STEP_FAVOURED = 1.3;

    private static final int BEFORE_STEP = 2;

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
        OptionalDouble volts = isBlockWide(battery, cell)
                ? OptionalDouble.empty()
                : battery.chargeVolts().above(cell);
        double limit = limit(battery, cell);
        if (isFarOnce(battery, cell)) {
            return battery.chargeVolts().lastAbove(cell).orElse(0) < 0 ? SHORT : SULFATED;
        }
        if (volts.isPresent() && volts.getAsDouble() <= -limit) {
            return SHORT;
        } else if (volts.isPresent() && volts.getAsDouble() >= limit) {
            return SULFATED;
        }
        // In a battery that is not charged to its end cells are left behind in steps as well.
        return !LowBattery.of(battery).isLowNow() && cameInOneStep(battery, cell) ? DILUTED : UNKNOWN;
    }

    /** The limit of the Rulebook, or more where this meter scatters so that its noise would reach it. */
    private static double limit(Case battery, int cell) {
        double rule = battery.rules().number(RuleKey.CHARGE_VOLTS_APART);
        double error = battery.chargeVolts().scatter() * (battery.chargeVolts().isTold(cell) ? MIDDLE_ERROR : 1);
        return Math.max(rule, NOISE * error);
    }

    /** A cell so far from its battery needs no second reading to be taken seriously. */
    static boolean isFarOnce(Case battery, int cell) {
        return !isBlockWide(battery, cell)
                && battery.chargeVolts().isFarOff(cell, battery.rules().number(RuleKey.CHARGE_VOLTS_APART));
    }

    /** @return whether its block is away to the same side with it: that is a tap or a joint, not a cell */
    private static boolean isBlockWide(Case battery, int cell) {
        int perBlock = battery.model().layout().cellsPerCase();
        if (perBlock < 2) {
            return false;
        }
        double side = Math.signum(battery.chargeVolts().above(cell).orElse(0));
        double far = battery.rules().number(RuleKey.CHARGE_VOLTS_APART) * BLOCK_TOGETHER;
        int first = (cell - 1) / perBlock * perBlock + 1;
        double[] brothers = IntStream.range(first, first + perBlock)
                .filter(c -> c != cell)
                .mapToDouble(c -> battery.chargeVolts().above(c).orElse(0))
                .toArray();
        return side * Robust.median(brothers) >= far;
    }

    /** @return whether the voltage on charge alone tells a bad cell: away from its own beginning for several rounds */
    static boolean isToldByVolts(Case battery, int cell) {
        if (!battery.chargeVolts().isTold(cell) && !isFarOnce(battery, cell)) {
            return false;
        }
        CellCause cause = of(battery, cell);
        return cause == SHORT || cause == SULFATED;
    }

    /** @return whether the fall lies between two readings and nothing has moved since */
    private static boolean cameInOneStep(Case battery, int cell) {
        CellCourse course = battery.course(cell);
        // Between rounds that lie months apart a slope hides.
        return battery.isReadSeldom()
                ? isSuddenAndSteady(course, READINGS_AFTER_STEP_SELDOM)
                : isSuddenAndSteady(course, READINGS_AFTER_STEP) && isStepFavoured(course);
    }

    private static boolean isStepFavoured(CellCourse course) {
        int[] oneKind = new int[course.readings()];
        return StepOrBend.of(course.daysArray(), course.aboveArray(), oneKind, BEFORE_STEP)
                        .favour()
                >= STEP_FAVOURED;
    }

    private static boolean isSuddenAndSteady(CellCourse course, int leastAfter) {
        if (course.readings() < 2 * leastAfter) {
            return false;
        }
        int at = course.fallIndex();
        int after = course.readings() - at;
        if (after < leastAfter || at < 2) {
            return false;
        }
        double before = (course.above(at - 1) + course.above(at - 2)) / 2;
        double first = (course.above(at) + course.above(at + 1)) / 2;
        double last = (course.last() + course.above(course.readings() - 2)) / 2;
        double fallen = course.begunAt() - last;
        boolean sudden = before - first > SUDDEN_PART * fallen;
        boolean steady = Math.abs(first - last) < Math.max(STEADY_TENTHS, STEADY_PART * fallen);
        return sudden && steady;
    }
}
