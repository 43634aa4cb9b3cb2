package org.ostendum.core.judge.question;

import java.util.List;
import java.util.Set;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.Question;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;

/** Has a cell leapt so far from its own past that the reading, not the cell, is to be doubted first? */
public final class ImpossibleReadings implements Question {
    /** With fewer rounds behind it a leap may go unseen. */
    private static final int LEAST_ROUNDS = 3;

    @Override
    public String name() {
        return "impossible-readings";
    }

    @Override
    public Outcome ask(Case battery) {
        if (!battery.latest().isSound()) {
            return new Outcome.NotJudged(Missing.RELIABLE_ROUND);
        }
        Set<Integer> suspects = battery.setAside();
        if (!suspects.isEmpty()) {
            return Outcome.of(finding(battery, suspects));
        }
        return battery.soundPast().size() < LEAST_ROUNDS
                ? new Outcome.NotJudged(Missing.MORE_ROUNDS)
                : new Outcome.Clear();
    }

    private static Finding finding(Case battery, Set<Integer> suspects) {
        Cells cells = new Cells(List.copyOf(suspects));
        return new Finding(
                FindingCode.READING_IMPOSSIBLE,
                cells,
                Severity.WATCH,
                Message.of("finding.impossible", cells),
                Message.of(
                        "finding.impossible.why",
                        battery.scatter().usual(),
                        battery.rules().value(RuleKey.SCATTER_FACTOR)),
                List.of(battery.rules().use(RuleKey.SCATTER_FACTOR)),
                new Evidence.OutOfScatter(battery.scatter().usual()),
                NextStep.READ_AGAIN,
                null,
                0.9);
    }
}
