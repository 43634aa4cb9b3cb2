package org.ostendum.core.judge.question;

import java.util.List;
import java.util.Optional;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.Question;
import org.ostendum.core.judge.question.low.LowBattery;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;

/**
 * Does a cell stand far below its battery on a full charge? After an equalise that is a bad cell; before one it may only
 * have been left behind, so equalise first.
 */
public final class WeakCells implements Question {
    @Override
    public String name() {
        return "weak-cells";
    }

    @Override
    public Outcome ask(Case battery) {
        Optional<Missing> missing = battery.missingForComparison();
        if (missing.isPresent()) {
            return new Outcome.NotJudged(missing.get());
        }
        return Outcome.of(below(battery).stream()
                .filter(cell -> !isLeftBehind(battery, cell))
                .map(cell -> finding(battery, cell))
                .toList());
    }

    /** Where the whole battery is not charged to its end, a cell behind the others is no sign of a bad one. */
    static boolean isLeftBehind(Case battery, int cell) {
        return LowBattery.of(battery).isUndercharged() && CellCause.of(battery, cell) == CellCause.UNKNOWN;
    }

    private record Below(List<Integer> cells) {}

    /** Cells at or beyond the limit below the median. */
    static List<Integer> below(Case battery) {
        return battery.once(Below.class, laid -> new Below(farBelow(laid))).cells();
    }

    private static List<Integer> farBelow(Case battery) {
        Gravities gravities = battery.gravities();
        GravityDifference limit = battery.rules().points(RuleKey.CELL_BELOW_MEDIAN);
        List<Integer> tapped = TappedBlocks.cells(battery);
        return gravities.byCell().keySet().stream()
                .filter(cell -> !tapped.contains(cell))
                .filter(cell -> gravities.aboveMedian(cell).negated().compareTo(limit) >= 0)
                .toList();
    }

    private static Finding finding(Case battery, int cell) {
        boolean equalised = battery.latest().round().state() == RoundState.AFTER_EQUALISE;
        String how = equalised ? "finding.weak.proved" : "finding.weak.suspected";
        CellCause cause = CellCause.of(battery, cell);
        boolean told = cause != CellCause.UNKNOWN;
        Gravities gravities = battery.gravities();
        GravityDifference below = gravities.aboveMedian(cell).negated();
        GravityDifference limit = battery.rules().points(RuleKey.CELL_BELOW_MEDIAN);
        return new Finding(
                cause.code(),
                Cells.of(cell),
                equalised ? Severity.STOP : Severity.ACT,
                Message.of(told ? "finding.cause." + cause.code() : how, Cells.of(cell)),
                CellEvidence.why(
                        battery,
                        cause,
                        cell,
                        Message.of(
                                (told ? "finding.weak.told" : how) + ".why",
                                gravities.of(cell),
                                below,
                                gravities.median(),
                                limit),
                        equalised),
                List.of(battery.rules().use(RuleKey.CELL_BELOW_MEDIAN)),
                new Evidence.BelowMedian(
                        gravities.of(cell), gravities.median(), below, CellEvidence.millivoltsAbove(battery, cell)),
                told ? cause.next() : equalised ? NextStep.REPAIR_CELL : NextStep.EQUALISE,
                null,
                told ? cause.confidence() : equalised ? Confidence.WEAK_AFTER_EQUALISE : Confidence.WEAK_AFTER_CHARGE);
    }
}
