package org.ostendum.core.judge.question;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.judge.Question;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;

/** Is one cell low on water again and again while its neighbours are not? It leaks, or drinks alone. */
public final class ThirstyCells implements Question {
    private static final int ROUNDS = 10;

    @Override
    public String name() {
        return "thirsty-cells";
    }

    @Override
    public Outcome ask(Case battery) {
        List<Round> looked = looked(battery);
        int least = battery.rules().count(RuleKey.LOW_TIMES);
        if (looked.size() < least) {
            return new Outcome.NotJudged(Missing.LEVELS);
        }
        int[] low = new int[battery.model().cells() + 1];
        for (Round round : looked) {
            List<Integer> dry = dry(round);
            // Where many are low together, it was not watered: that says nothing about one cell.
            if (4 * dry.size() <= round.readings().size()) {
                dry.forEach(cell -> low[cell]++);
            }
        }
        int others = (int) Arrays.stream(low).filter(n -> n >= least).count();
        return others == 0 ? new Outcome.Clear() : Outcome.of(findings(battery, low, looked.size(), least));
    }

    private static List<Round> looked(Case battery) {
        List<PastRound> rounds = new ArrayList<>(battery.past());
        rounds.add(battery.latest());
        List<Round> looked = rounds.stream()
                .filter(PastRound::hasLevels)
                .map(PastRound::round)
                .toList();
        return looked.subList(Math.max(0, looked.size() - ROUNDS), looked.size());
    }

    private static List<Integer> dry(Round round) {
        return round.readings().stream()
                .filter(r -> r.level() == Level.LOW || r.level() == Level.EXPOSED || r.tooLow())
                .map(CellReading::cell)
                .toList();
    }

    private static List<Finding> findings(Case battery, int[] low, int rounds, int least) {
        List<Finding> findings = new ArrayList<>();
        for (int cell = 1; cell < low.length; cell++) {
            if (low[cell] >= least) {
                findings.add(new Finding(
                        FindingCode.CELL_THIRSTY,
                        Cells.of(cell),
                        Severity.ACT,
                        Message.of("finding.thirsty-cell", Cells.of(cell)),
                        Message.of("finding.thirsty-cell.why", low[cell], rounds),
                        List.of(battery.rules().use(RuleKey.LOW_TIMES)),
                        List.of(new Evidence("timesLow", low[cell]), new Evidence("rounds", rounds)),
                        NextStep.WATER,
                        null,
                        Confidence.THIRSTY_CELL));
            }
        }
        return findings;
    }
}
