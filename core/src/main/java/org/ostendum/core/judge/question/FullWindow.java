package org.ostendum.core.judge.question;

import java.util.List;
import java.util.Optional;
import org.ostendum.core.battery.GravityMarks;
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
import org.ostendum.core.judge.Severity;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;

/** Does the battery as a whole reach its full window, or, in service, want a charge? Judged by the median of its cells. */
public final class FullWindow implements Question {
    @Override
    public String name() {
        return "full-window";
    }

    @Override
    public Outcome ask(Case battery) {
        Optional<Missing> missing = battery.missingForGravity();
        if (missing.isPresent()) {
            return new Outcome.NotJudged(missing.get());
        }
        return battery.latest().round().state().isFull() ? afterCharge(battery) : inService(battery);
    }

    private static Outcome afterCharge(Case battery) {
        CorrectedGravity median = battery.gravities().median();
        GravityMarks marks = battery.model().marks();
        GravityDifference tolerance = battery.rules().points(RuleKey.FULL_TOLERANCE);
        if (median.plus(tolerance).compareTo(marks.fullFrom()) >= 0) {
            return new Outcome.Clear();
        }
        return Outcome.of(finding(
                battery,
                "after-charge",
                Message.of("finding.undercharged.after-charge.why", median, marks.fullFrom(), marks.fullTo()),
                0.8));
    }

    private static Outcome inService(Case battery) {
        CorrectedGravity median = battery.gravities().median();
        CorrectedGravity mark = battery.model().marks().rechargeBelow();
        if (median.compareTo(mark) >= 0) {
            return new Outcome.Clear();
        }
        return Outcome.of(
                finding(battery, "in-service", Message.of("finding.undercharged.in-service.why", median, mark), 0.95));
    }

    private static Finding finding(Case battery, String how, Message why, double confidence) {
        return new Finding(
                FindingCode.BATTERY_UNDERCHARGED,
                new Cells(List.of()),
                Severity.ACT,
                Message.of(
                        "finding.undercharged." + how,
                        battery.model()
                                .marks()
                                .scale()
                                .of(battery.gravities().median())
                                .percent()),
                why,
                List.of(battery.rules().use(RuleKey.FULL_TOLERANCE)),
                List.of(new Evidence("median", battery.gravities().median())),
                NextStep.CHARGE,
                null,
                confidence);
    }
}
