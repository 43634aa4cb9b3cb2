package org.ostendum.core.judge.question;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.Question;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;

/**
 * Do cells stand above what a full charge can give? High gravity is no strength: water is missing, or acid was added. One cell
 * above its even neighbours dries out alone. Practice {@code judge.dry}.
 */
public final class HighCells implements Question {
    /** Above the full window by so much no reading error explains it, tenths of a point. */
    private static final int BEYOND_WINDOW = 150;

    private static final int LEAST_CELLS = 4;

    @Override
    public String name() {
        return "high-cells";
    }

    @Override
    public Outcome ask(Case battery) {
        Optional<Missing> missing = battery.missingForGravity();
        if (missing.isPresent()) {
            return new Outcome.NotJudged(missing.get());
        }
        List<Finding> findings = new ArrayList<>();
        CorrectedGravity median = battery.gravities().median();
        int beyond = median.tenths() - battery.model().marks().fullTo().tenths();
        if (beyond >= BEYOND_WINDOW) {
            findings.add(allHigh(battery, median));
        }
        cells(battery).forEach(cell -> findings.add(oneHigh(battery, cell)));
        return Outcome.of(findings);
    }

    /** Cells that stand above the others, which are even among themselves. */
    static List<Integer> cells(Case battery) {
        Gravities all = battery.gravities();
        int limit = battery.rules().points(RuleKey.SPREAD_EQUALISE).tenths();
        int fine = battery.rules().points(RuleKey.SPREAD_FINE).tenths();
        if (all.count() < LEAST_CELLS) {
            return List.of();
        }
        return all.byCell().keySet().stream()
                .filter(cell -> all.aboveMedian(cell).tenths() >= limit)
                .filter(cell -> all.without(Set.of(cell)).spread().tenths() <= fine)
                .toList();
    }

    private static boolean isLevelRight(Case battery, int cell) {
        return battery.latest()
                .round()
                .reading(cell)
                .map(CellReading::level)
                .filter(level -> level == Level.RIGHT || level == Level.OVER)
                .isPresent();
    }

    private static Finding oneHigh(Case battery, int cell) {
        GravityDifference above = battery.gravities().aboveMedian(cell);
        String how = isLevelRight(battery, cell) ? "finding.high.acid" : "finding.high.dry";
        return finding(
                battery,
                Cells.of(cell),
                Message.of(how, Cells.of(cell)),
                Message.of(how + ".why", battery.gravities().of(cell), above),
                new Evidence.AboveMedian(above),
                Confidence.HIGH);
    }

    private static Finding allHigh(Case battery, CorrectedGravity median) {
        return finding(
                battery,
                new Cells(List.of()),
                Message.of("finding.high.all", median),
                Message.of("finding.high.all.why", battery.model().marks().fullTo()),
                new Evidence.AllAbove(median),
                Confidence.HIGH);
    }

    private static Finding finding(
            Case battery, Cells cells, Message sentence, Message why, Evidence evidence, double confidence) {
        return new Finding(
                FindingCode.CELL_CONCENTRATED,
                cells,
                Severity.ACT,
                sentence,
                why,
                List.of(battery.rules().use(RuleKey.SPREAD_EQUALISE)),
                evidence,
                NextStep.TAKE_ROUND,
                null,
                confidence);
    }
}
