package org.ostendum.core.judge.question;

import java.util.HashSet;
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
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;

/** Have the cells drifted apart after a full charge? Cells whose low gravity has a cause of its own are left out. */
public final class Evenness implements Question {
    @Override
    public String name() {
        return "evenness";
    }

    @Override
    public Outcome ask(Case battery) {
        Optional<Missing> missing = battery.missingForComparison();
        if (missing.isPresent()) {
            return new Outcome.NotJudged(missing.get());
        }
        Set<Integer> known = new HashSet<>(WeakCells.below(battery));
        known.addAll(FallingCells.explained(battery));
        known.addAll(TappedBlocks.cells(battery));
        known.addAll(HighCells.cells(battery));
        Gravities rest = battery.gravities().without(known);
        if (rest.isEmpty()) {
            return new Outcome.Clear();
        }
        GravityDifference spread = rest.spread();
        if (spread.compareTo(battery.rules().points(RuleKey.SPREAD_EQUALISE)) >= 0) {
            return Outcome.of(equalise(battery, rest));
        }
        if (spread.compareTo(battery.rules().points(RuleKey.SPREAD_FINE)) > 0) {
            return Outcome.of(
                    finding(battery, rest, "watch", RuleKey.SPREAD_FINE, Severity.WATCH, NextStep.TAKE_ROUND));
        }
        return new Outcome.Clear();
    }

    private static Finding equalise(Case battery, Gravities rest) {
        boolean again = battery.latest().round().state() == RoundState.AFTER_EQUALISE;
        return finding(
                battery,
                rest,
                again ? "equalise-again" : "equalise",
                RuleKey.SPREAD_EQUALISE,
                Severity.ACT,
                NextStep.EQUALISE);
    }

    private static Finding finding(
            Case battery, Gravities rest, String how, RuleKey rule, Severity severity, NextStep next) {
        return new Finding(
                FindingCode.BATTERY_UNEVEN,
                new Cells(List.of()),
                severity,
                Message.of("finding.uneven." + how, rest.spread()),
                Message.of(
                        "finding.uneven." + how + ".why",
                        rest.spread(),
                        rest.lowestCell(),
                        rest.lowest(),
                        rest.highest(),
                        battery.rules().points(rule)),
                List.of(battery.rules().use(rule)),
                new Evidence.Uneven(rest.spread(), rest.lowestCell()),
                next,
                null,
                Confidence.UNEVEN);
    }
}
