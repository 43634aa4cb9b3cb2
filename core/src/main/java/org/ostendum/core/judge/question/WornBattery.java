package org.ostendum.core.judge.question;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.event.BatteryEvent.Worked;
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

/**
 * Do its shifts now end at a ceiling that they used to pass? When the plates are worn the deepest days all stop at the
 * same ampere-hours; a lighter season has no such edge.
 */
public final class WornBattery implements Question {
    private static final Duration RECENT = Duration.ofDays(45);
    private static final Duration BEGINNING = Duration.ofDays(120);
    private static final int LEAST_SHIFTS = 20;
    /** Shifts within this part of the deepest one stand at its edge. */
    private static final double EDGE = 0.97;
    /** So large a part of all shifts at the edge is a ceiling, not chance. */
    private static final double CROWDED = 0.4;

    @Override
    public String name() {
        return "worn-battery";
    }

    @Override
    public Outcome ask(Case battery) {
        Instant now = battery.now();
        double[] recent = shifts(battery, now.minus(RECENT), now);
        Optional<Worked> earliest = battery.events().first(Worked.class);
        if (earliest.isEmpty() || recent.length < LEAST_SHIFTS) {
            return new Outcome.NotJudged(Missing.AMP_HOURS);
        }
        Instant begun = earliest.get().at();
        double[] first = shifts(battery, begun.minusSeconds(1), begun.plus(BEGINNING));
        if (begun.plus(BEGINNING).isAfter(now.minus(RECENT)) || first.length < LEAST_SHIFTS) {
            return new Outcome.NotJudged(Missing.MORE_ROUNDS);
        }
        double ceiling = quantile(recent, 0.9);
        double atEdge = Arrays.stream(recent)
                        .filter(ah -> Math.abs(ah / ceiling - 1) <= 1 - EDGE)
                        .count()
                / (double) recent.length;
        int percent = (int) Math.round(100 * ceiling / quantile(first, 0.9));
        boolean worn = percent <= battery.rules().percent(RuleKey.WORN_BELOW) && atEdge >= CROWDED;
        return worn ? Outcome.of(finding(battery, (int) Math.round(ceiling), percent)) : new Outcome.Clear();
    }

    private static double[] shifts(Case battery, Instant from, Instant to) {
        return battery.events().between(Worked.class, from, to).stream()
                .mapToDouble(shift -> shift.taken() == null ? 0 : shift.taken().ampHours())
                .filter(ah -> ah > 0)
                .sorted()
                .toArray();
    }

    private static double quantile(double[] sorted, double part) {
        return sorted[(int) Math.min(sorted.length - 1L, Math.round(part * (sorted.length - 1)))];
    }

    private static Finding finding(Case battery, int ceiling, int percent) {
        return new Finding(
                FindingCode.BATTERY_WORN,
                new Cells(List.of()),
                Severity.ACT,
                Message.of("finding.worn", percent),
                Message.of("finding.worn.why", ceiling, battery.rules().percent(RuleKey.WORN_BELOW)),
                List.of(battery.rules().use(RuleKey.WORN_BELOW)),
                new Evidence.Ceiling(ceiling, percent),
                NextStep.TEST_CAPACITY,
                null,
                Confidence.WORN);
    }
}
