package org.ostendum.core.judge.question;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
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
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;

/**
 * Is one cell low on water again and again while its neighbours are not? It leaks, or drinks alone. Once less is enough where its
 * gravity stood higher each time: what is gone was water.
 */
public final class ThirstyCells implements Question {
    private static final int ROUNDS = 10;
    private static final int TWICE = 2;

    /** Tenths of a point by which it was stronger each time; fitted on simulated batteries. */
    private static final double STRONGER = 45;

    /** The same where rounds lie months apart, and how much of it makes up for a second time. */
    private static final double STRONGER_SELDOM = 30;

    private static final double STRONGER_ONCE = 80;

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
        // Most cells are never low: only of the others the rounds are gone through again.
        List<Finding> findings = looked.stream()
                .flatMap(round -> LowTimes.dry(round).stream())
                .distinct()
                .sorted()
                .map(cell -> new LowTimes(looked, cell))
                .flatMap(low -> finding(battery, low, least).stream())
                .toList();
        return findings.isEmpty() ? new Outcome.Clear() : Outcome.of(findings);
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

    private static List<Finding> finding(Case battery, LowTimes low, int least) {
        if (low.times() >= least) {
            return List.of(finding(
                    battery,
                    low,
                    Message.of("finding.thirsty-cell.why", low.times(), low.rounds()),
                    Confidence.THIRSTY_CELL));
        }
        // What is to be drawn again is no evidence yet.
        OptionalDouble stronger = battery.setAside().contains(low.cell())
                ? OptionalDouble.empty()
                : low.stronger(battery.rules().temperatureCorrection());
        if (stronger.isEmpty() || stronger.getAsDouble() < needed(battery, low.times(), least)) {
            return List.of();
        }
        GravityDifference by = new GravityDifference((int) Math.round(stronger.getAsDouble()));
        return List.of(finding(
                battery,
                low,
                Message.of("finding.thirsty-cell.stronger.why", low.times(), low.rounds(), by),
                Confidence.THIRSTY_CELL_STRONGER));
    }

    /** @return tenths it has to be stronger by: the fewer times it was low, the more. What happened once among many rounds is chance */
    private static double needed(Case battery, int times, int least) {
        boolean isReadSeldom = battery.isReadSeldom();
        if (times >= Math.max(TWICE, least - 1)) {
            return isReadSeldom ? STRONGER_SELDOM : STRONGER;
        }
        return isReadSeldom && times > 0 ? STRONGER_ONCE : Double.POSITIVE_INFINITY;
    }

    private static Finding finding(Case battery, LowTimes low, Message why, double confidence) {
        return new Finding(
                FindingCode.CELL_THIRSTY,
                Cells.of(low.cell()),
                Severity.ACT,
                Message.of("finding.thirsty-cell", Cells.of(low.cell())),
                why,
                List.of(battery.rules().use(RuleKey.LOW_TIMES)),
                new Evidence.OftenLow(low.times(), low.rounds()),
                NextStep.WATER,
                null,
                confidence);
    }
}
